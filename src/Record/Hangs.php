<?php

declare(strict_types=1);

namespace Telamon\Record;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;

/** What hangs on a record by a key inside JSON, from what the classes declare ({@see Names}, {@see KnownAs}). */
final readonly class Hangs
{
    private const MOST = 20;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param list<string> $but ids of records that do not count, as they are going too
     *
     * @return list<string> what names it, in words
     */
    public function on(object $record, array $but = []): array
    {
        $meta = $this->em->getClassMetadata($record::class);
        $known = ($meta->getReflectionClass()->getAttributes(KnownAs::class)[0] ?? null)?->newInstance();
        if (!$known instanceof KnownAs) {
            return [];
        }
        $keys = array_values(array_filter(
            array_map(static fn (string $by): mixed => $meta->getFieldValue($record, $by), $known->by),
            static fn (mixed $key): bool => \is_string($key) && '' !== $key,
        ));
        $found = [];
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $other) {
            foreach ($this->columns($other, $known->kind) as $column) {
                array_push($found, ...$this->naming($other, $column, $keys, [...$but, self::idOf($meta, $record)]));
            }
        }

        return \array_slice(array_values(array_unique($found)), 0, self::MOST);
    }

    /**
     * @param ClassMetadata<object> $meta
     *
     * @return list<string> columns that name such records
     */
    private function columns(ClassMetadata $meta, string $kind): array
    {
        $columns = [];
        foreach ($meta->getFieldNames() as $name) {
            $class = $meta->getReflectionClass();
            $names = $class->hasProperty($name) ? ($class->getProperty($name)->getAttributes(Names::class)[0] ?? null)?->newInstance() : null;
            if ($names instanceof Names && \in_array($kind, $names->kinds, true)) {
                $columns[] = $meta->getColumnName($name);
            }
        }

        return $columns;
    }

    /**
     * @param ClassMetadata<object> $meta
     * @param list<mixed> $keys
     * @param list<string> $but
     *
     * @return list<string>
     */
    private function naming(ClassMetadata $meta, string $column, array $keys, array $but): array
    {
        $db = $this->em->getConnection();
        $words = [];
        foreach ($keys as $key) {
            \assert(\is_string($key));
            $bare = substr(json_encode($key, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES), 1, -1);
            // Alone, or as a part of a way to something: “visit/tuning”. A column that is no JSON is the key itself.
            $ids = $db->fetchFirstColumn(
                'SELECT id FROM '.$meta->getTableName()." WHERE $column = ? OR instr(CAST($column AS TEXT), ?) > 0 OR instr(CAST($column AS TEXT), ?) > 0 OR instr(REPLACE(CAST($column AS TEXT), '\\/', '/'), ?) > 0 LIMIT 200",
                [$key, "\"$bare\"", "\"$bare/", "/$bare\""],
            );
            foreach ($ids as $id) {
                $one = \is_string($id) && !\in_array($id, $but, true) ? $this->em->find($meta->getName(), $id) : null;
                if ($one instanceof NamesOthers ? $one->isInUse() : null !== $one) {
                    $words[] = $one instanceof NamesOthers ? $one->called() : ($one instanceof Journaled ? $one->recordLabel() : 'something that came later');
                }
            }
        }

        return $words;
    }

    /** @param ClassMetadata<object> $meta */
    private static function idOf(ClassMetadata $meta, object $record): string
    {
        $id = $meta->getIdentifierValues($record)['id'] ?? '';

        return \is_string($id) ? $id : '';
    }
}
