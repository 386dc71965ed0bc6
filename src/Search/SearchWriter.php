<?php

declare(strict_types=1);

namespace Telamon\Search;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\OnFlushEventArgs;
use Doctrine\ORM\Events;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Contracts\Service\ResetInterface;
use Telamon\Record\RecordsRemoved;

/** Keeps what is searched in step with the records, in the same transaction. */
#[AsDoctrineListener(Events::onFlush)]
#[AsDoctrineListener(Events::postFlush)]
final class SearchWriter implements ResetInterface
{
    /** @var array<string, array<string, true>> ids by kind */
    private array $changed = [];

    public function __construct(private readonly SearchRows $rows)
    {
    }

    public function onFlush(OnFlushEventArgs $args): void
    {
        $unit = $args->getObjectManager()->getUnitOfWork();
        foreach ([$unit->getScheduledEntityInsertions(), $unit->getScheduledEntityUpdates(), $unit->getScheduledEntityDeletions()] as $records) {
            foreach ($records as $record) {
                foreach ($this->rows->concerned($record) as $kind => $id) {
                    $this->changed[$kind][$id] = true;
                }
            }
        }
    }

    public function postFlush(): void
    {
        $changed = $this->changed;
        $this->changed = [];
        if ([] !== $changed) {
            $this->rows->refresh(array_map(static fn (array $ids): array => array_map(strval(...), array_keys($ids)), $changed));
        }
    }

    #[AsEventListener]
    public function onRecordsRemoved(RecordsRemoved $removed): void
    {
        $this->rows->forget($removed->ids);
    }

    public function reset(): void
    {
        $this->changed = [];
    }
}
