<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ToOneOwningSideMapping;
use Telamon\Record\Hangs;
use Telamon\Record\Journaled;
use Telamon\Record\PartOf;
use Telamon\Record\TakenBack;

/** Finds what points at a record, so that nothing is removed from under something that stays. */
final readonly class References
{
    public function __construct(private EntityManagerInterface $em, private Hangs $hangs)
    {
    }

    /**
     * A record that points at this one and is not about to go; what is only stopped lets go of what it points at.
     *
     * @param list<string> $going ids of the records about to be removed, few
     *
     * @return string|null how the holder is called
     */
    public function holder(object $record, array $going): ?string
    {
        foreach ($this->pointers($record) as [$class, $property]) {
            if ($this->letsGo($class, $property)) {
                continue;
            }
            $found = $this->em->createQueryBuilder()->select('h')->from($class, 'h')
                ->where("h.$property = :record")->andWhere('h.id NOT IN (:going)')
                ->setParameter('record', $record)->setParameter('going', $going)
                ->setMaxResults(1)->getQuery()->getOneOrNullResult();
            if (null !== $found) {
                return $found instanceof Journaled ? $found->recordLabel() : 'something that came later';
            }
        }

        // By a key inside JSON, as the classes declare it.
        return $this->hangs->on($record, $going)[0] ?? null;
    }

    /**
     * Whom a part belongs to, where that one stays.
     *
     * @param array<string, object> $staying by id
     *
     * @return string|null how the owner is called
     */
    public function owner(object $record, array $staying): ?string
    {
        if (!$record instanceof PartOf) {
            return null;
        }
        $meta = $this->em->getClassMetadata($record::class);
        foreach ($meta->getAssociationMappings() as $name => $mapping) {
            $owner = $mapping instanceof ToOneOwningSideMapping && false === $mapping->joinColumns[0]->nullable ? $meta->getFieldValue($record, $name) : null;
            if ($owner instanceof Journaled && \in_array($owner, $staying, true)) {
                return $owner->recordLabel();
            }
        }

        return null;
    }

    /** Makes what is only stopped, and points at this record, let go of it. */
    public function release(object $record): void
    {
        foreach ($this->pointers($record) as [$class, $property]) {
            if ($this->letsGo($class, $property)) {
                foreach ($this->em->getRepository($class)->findBy([$property => $record]) as $holder) {
                    $this->em->getClassMetadata($class)->setFieldValue($holder, $property, null);
                }
            }
        }
    }

    /**
     * Whether it is only stopped, and can do without what it points at.
     *
     * @param class-string $class
     */
    private function letsGo(string $class, string $property): bool
    {
        $mapping = $this->em->getClassMetadata($class)->getAssociationMapping($property);

        return is_a($class, TakenBack::class, true) && $mapping instanceof ToOneOwningSideMapping && false !== $mapping->joinColumns[0]->nullable;
    }

    /** @return list<array{class-string, string}> classes and their properties that may point at such a record */
    private function pointers(object $record): array
    {
        $target = $this->em->getClassMetadata($record::class)->getName();
        $pointers = [];
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $meta) {
            foreach ($meta->getAssociationNames() as $property) {
                if ($meta->isSingleValuedAssociation($property) && $meta->getAssociationTargetClass($property) === $target) {
                    $pointers[] = [$meta->getName(), $property];
                }
            }
        }

        return $pointers;
    }
}
