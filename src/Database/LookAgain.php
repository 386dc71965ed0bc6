<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Query;
use Doctrine\Persistence\ManagerRegistry;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/**
 * What was looked at before the write lock is looked at again under it, where somebody else has written in between:
 * every record in memory is read anew, so that nothing is decided by how it was. What somebody has changed in memory
 * and not written yet is left as it is.
 */
final readonly class LookAgain
{
    private const AT_ONCE = 500;

    /** @param \Closure(): ManagerRegistry $doctrine asked late: it needs the connection that this belongs to */
    public function __construct(#[AutowireServiceClosure('doctrine')] private \Closure $doctrine)
    {
    }

    /** Call it under the lock. */
    public function atEverything(): void
    {
        foreach (($this->doctrine)()->getManagers() as $manager) {
            if ($manager instanceof EntityManagerInterface && $manager->isOpen()) {
                $this->at($manager);
            }
        }
    }

    private function at(EntityManagerInterface $em): void
    {
        $unit = $em->getUnitOfWork();
        if ([] !== $unit->getScheduledEntityInsertions() || [] !== $unit->getScheduledEntityUpdates() || [] !== $unit->getScheduledEntityDeletions()) {
            // A flush is under way: what is written was decided already.
            return;
        }
        foreach ($unit->getIdentityMap() as $class => $records) {
            $meta = $em->getClassMetadata($class);
            $stale = array_filter($records, static fn (object $record): bool => !$unit->isUninitializedObject($record) && !self::isChanged($em, $record));
            foreach (array_chunk($stale, self::AT_ONCE) as $some) {
                self::read($em, $meta, $some);
            }
        }
    }

    /**
     * @param ClassMetadata<object> $meta
     * @param list<object> $records
     */
    private static function read(EntityManagerInterface $em, ClassMetadata $meta, array $records): void
    {
        if ($meta->isIdentifierComposite || $meta->containsForeignIdentifier) {
            array_walk($records, static fn (object $record) => $em->refresh($record));

            return;
        }
        $id = $meta->getSingleIdentifierFieldName();
        $ids = array_map(static fn (object $record): mixed => $em->getUnitOfWork()->getSingleIdentifierValue($record), $records);
        $em->createQuery("SELECT r FROM {$meta->getName()} r WHERE r.$id IN (:ids)")->setParameter('ids', $ids)->setHint(Query::HINT_REFRESH, true)->getResult();
    }

    private static function isChanged(EntityManagerInterface $em, object $record): bool
    {
        $meta = $em->getClassMetadata($record::class);
        foreach ($em->getUnitOfWork()->getOriginalEntityData($record) as $name => $value) {
            if (($meta->hasField($name) || ($meta->hasAssociation($name) && !$meta->isCollectionValuedAssociation($name))) && $meta->getFieldValue($record, $name) !== $value) {
                return true;
            }
        }

        return false;
    }
}
