<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;
use Telamon\Database\Ids;

/**
 * Removes what a change of many records made, in sets instead of one by one: by the same rules as Undo, and
 * in seconds, so that the database is not held from the public.
 */
final readonly class BulkRemoval
{
    private const TOLD = 100;

    public function __construct(private EntityManagerInterface $em, private Connection $db, private EventDispatcherInterface $events)
    {
    }

    /**
     * Runs inside the transaction of the change that takes back.
     *
     * @return array{undone: int, kept: list<array{record: array{kind: string, id: string, label: string}, why: string}>}
     */
    public function remove(Change $made, Change $taking): array
    {
        $this->db->executeStatement('PRAGMA defer_foreign_keys = ON');
        $this->db->executeStatement('CREATE TEMPORARY TABLE IF NOT EXISTS going (record_id TEXT PRIMARY KEY, entry_id TEXT, seq INTEGER)');
        $this->db->executeStatement('DELETE FROM going');
        $this->db->executeStatement("INSERT INTO going SELECT record_id, id, seq FROM journal_entry WHERE change_id = ? AND action = 'made'", [$made->id]);
        $kept = [...$this->keep('changed since', $this->changedSince(), [$made->id]), ...$this->keepWhatIsNeeded($made)];
        $this->keepWhatBelongs($made);
        $ids = [];
        foreach ($this->db->iterateAssociative('SELECT e.* FROM going g JOIN journal_entry e ON e.id = g.entry_id') as $row) {
            $ids[] = self::text($row, 'record_id');
            $this->db->executeStatement(
                'INSERT INTO journal_entry (id, action, record_class, record_kind, record_id, record_label, client_id, project_id, "before", "after", change_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
                [Ids::next(), Action::Removed->value, $row['record_class'], $row['record_kind'], $row['record_id'], $row['record_label'], $row['client_id'], $row['project_id'], $row['after'], '[]', $taking->id],
            );
        }
        foreach ($this->classes($made) as $class) {
            $this->db->executeStatement('DELETE FROM '.$this->em->getClassMetadata($class)->getTableName().' WHERE id IN (SELECT record_id FROM going)');
        }
        $this->db->executeStatement('DELETE FROM going');
        $this->events->dispatch(new RecordsRemoved($ids));

        return ['undone' => \count($ids), 'kept' => $kept];
    }

    private function changedSince(): string
    {
        return "SELECT g.record_id FROM going g JOIN journal_entry e ON e.record_id = g.record_id AND e.seq > g.seq AND e.change_id <> ?
            JOIN change_set c ON c.id = e.change_id AND c.undone_at IS NULL AND c.kind <> '".ChangeKind::Undo->value."'";
    }

    /** @return list<array{record: array{kind: string, id: string, label: string}, why: string}> */
    private function keepWhatIsNeeded(Change $made): array
    {
        $kept = [];
        do {
            $more = [];
            foreach ($this->classes($made) as $class) {
                foreach ($this->pointers($class) as [$table, $column]) {
                    array_push($more, ...$this->keep('needed by something that came later', "SELECT t.$column FROM $table t WHERE t.$column IN (SELECT record_id FROM going) AND t.id NOT IN (SELECT record_id FROM going)", []));
                }
            }
            array_push($kept, ...$more);
        } while ([] !== $more);

        return \array_slice($kept, 0, self::TOLD);
    }

    /**
     * @param list<string> $parameters
     *
     * @return list<array{record: array{kind: string, id: string, label: string}, why: string}>
     */
    private function keep(string $why, string $select, array $parameters): array
    {
        $kept = [];
        foreach ($this->db->fetchAllAssociative("SELECT e.record_kind, e.record_id, e.record_label FROM going g JOIN journal_entry e ON e.id = g.entry_id WHERE g.record_id IN ($select)", $parameters) as $row) {
            $kept[] = ['record' => ['kind' => self::text($row, 'record_kind'), 'id' => self::text($row, 'record_id'), 'label' => self::text($row, 'record_label')], 'why' => $why];
        }
        if ([] !== $kept) {
            $this->db->executeStatement("DELETE FROM going WHERE record_id IN ($select)", $parameters);
        }

        return $kept;
    }

    /** A client that stays keeps its mail addresses and numbers. */
    private function keepWhatBelongs(Change $made): void
    {
        $this->db->executeStatement(
            "DELETE FROM going WHERE entry_id IN (SELECT e.id FROM journal_entry e JOIN journal_entry o ON o.record_id = e.client_id AND o.change_id = e.change_id AND o.action = 'made'
                WHERE e.change_id = ? AND e.record_id <> e.client_id AND e.client_id NOT IN (SELECT record_id FROM going))",
            [$made->id],
        );
    }

    /** @return list<class-string> */
    private function classes(Change $made): array
    {
        $classes = [];
        foreach ($this->db->fetchFirstColumn("SELECT DISTINCT record_class FROM journal_entry WHERE change_id = ? AND action = 'made'", [$made->id]) as $class) {
            if (\is_string($class) && class_exists($class)) {
                $classes[] = $class;
            }
        }

        return $classes;
    }

    /**
     * @param class-string $class
     *
     * @return list<array{string, string}> tables and columns that may point at such a record
     */
    private function pointers(string $class): array
    {
        $pointers = [];
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $meta) {
            foreach ($meta->getAssociationNames() as $property) {
                if ($meta->isSingleValuedAssociation($property) && !$meta->isAssociationInverseSide($property) && $meta->getAssociationTargetClass($property) === $class) {
                    $pointers[] = [$meta->getTableName(), $meta->getSingleAssociationJoinColumnName($property)];
                }
            }
        }

        return $pointers;
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name] ?? null) ? $row[$name] : '';
    }
}
