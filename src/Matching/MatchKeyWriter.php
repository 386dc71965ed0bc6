<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\OnFlushEventArgs;
use Doctrine\ORM\Events;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Contracts\Service\ResetInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\ContactPoint;
use Telamon\Record\RecordsRemoved;

/** Files clients anew whenever they, their mail addresses and numbers or where their things stand change, in the same transaction. */
#[AsDoctrineListener(Events::onFlush)]
#[AsDoctrineListener(Events::postFlush)]
final class MatchKeyWriter implements ResetInterface
{
    /** @var array<string, true> */
    private array $changed = [];

    public function __construct(private readonly MatchKeys $keys)
    {
    }

    public function onFlush(OnFlushEventArgs $args): void
    {
        $unit = $args->getObjectManager()->getUnitOfWork();
        foreach ([$unit->getScheduledEntityInsertions(), $unit->getScheduledEntityUpdates(), $unit->getScheduledEntityDeletions()] as $records) {
            foreach ($records as $record) {
                if ($record instanceof Client) {
                    $this->changed[$record->id] = true;
                } elseif ($record instanceof ContactPoint || $record instanceof Asset) {
                    $this->changed[$record->client->id] = true;
                }
            }
        }
    }

    public function postFlush(): void
    {
        $changed = array_map(strval(...), array_keys($this->changed));
        $this->changed = [];
        $this->keys->refresh($changed);
    }

    #[AsEventListener]
    public function onRecordsRemoved(RecordsRemoved $removed): void
    {
        $this->keys->forget($removed->ids);
    }

    public function reset(): void
    {
        $this->changed = [];
    }
}
