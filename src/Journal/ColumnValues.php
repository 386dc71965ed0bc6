<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Telamon\Record\Untold;

/** The mapped properties of a record as plain values, and back. References become ids. */
final class ColumnValues
{
    private const LEFT_OUT = ['id', 'version'];

    /** @var array<class-string, array<string>> names of the properties that the journal never holds */
    private array $untold = [];

    /** @return array<string, mixed> */
    public function all(EntityManagerInterface $em, object $record): array
    {
        $meta = $em->getClassMetadata($record::class);
        $values = [];
        foreach ([...$meta->getFieldNames(), ...$meta->getAssociationNames()] as $name) {
            if ($this->isTold($meta, $name)) {
                $values[$name] = $this->plain($em, $meta, $name, $meta->getFieldValue($record, $name));
            }
        }

        return $values;
    }

    /** @return array{array<string, mixed>, array<string, mixed>} before and after, only what differs */
    public function changed(EntityManagerInterface $em, object $record): array
    {
        $meta = $em->getClassMetadata($record::class);
        $before = [];
        $after = [];
        foreach ($em->getUnitOfWork()->getEntityChangeSet($record) as $name => $pair) {
            if (!\is_array($pair) || !$this->isTold($meta, $name)) {
                continue;
            }
            $from = $this->plain($em, $meta, $name, $pair[0]);
            $to = $this->plain($em, $meta, $name, $pair[1]);
            if ($from !== $to) {
                $before[$name] = $from;
                $after[$name] = $to;
            }
        }

        return [$before, $after];
    }

    /**
     * Sets one property of a record to a plain value taken from the journal.
     *
     * @param array<string, object> $coming records that are about to be written again, by id
     */
    public function restore(EntityManagerInterface $em, object $record, string $name, mixed $plain, array $coming = []): void
    {
        $meta = $em->getClassMetadata($record::class);
        if ($meta->hasAssociation($name)) {
            $value = null === $plain ? null : (\is_string($plain) ? $coming[$plain] ?? null : null) ?? $em->getReference($meta->getAssociationTargetClass($name), $plain);
        } else {
            $mapping = $meta->getFieldMapping($name);
            $value = $em->getConnection()->convertToPHPValue(\is_array($plain) ? json_encode($plain, \JSON_THROW_ON_ERROR) : $plain, $mapping->type);
            if (null !== $mapping->enumType && (\is_string($value) || \is_int($value))) {
                $value = [$mapping->enumType, 'from']($value);
            }
        }
        $meta->setFieldValue($record, $name, $value);
    }

    /** @param ClassMetadata<object> $meta */
    private function isTold(ClassMetadata $meta, string $name): bool
    {
        $this->untold[$meta->getName()] ??= array_map(
            static fn (\ReflectionProperty $property): string => $property->getName(),
            array_filter($meta->getReflectionClass()->getProperties(), static fn (\ReflectionProperty $property): bool => [] !== $property->getAttributes(Untold::class)),
        );

        return !\in_array($name, [...self::LEFT_OUT, ...$this->untold[$meta->getName()]], true) && !$meta->isCollectionValuedAssociation($name);
    }

    /** @param ClassMetadata<object> $meta */
    private function plain(EntityManagerInterface $em, ClassMetadata $meta, string $name, mixed $value): mixed
    {
        if ($meta->hasAssociation($name)) {
            return \is_object($value) ? $em->getUnitOfWork()->getSingleIdentifierValue($value) : null;
        }
        if ($value instanceof \BackedEnum) {
            return $value->value;
        }

        return \is_array($value) ? $value : $em->getConnection()->convertToDatabaseValue($value, $meta->getFieldMapping($name)->type);
    }
}
