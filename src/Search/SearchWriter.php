<?php

declare(strict_types=1);

namespace Telamon\Search;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\OnFlushEventArgs;
use Doctrine\ORM\Events;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Contracts\Service\ResetInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\Contact;
use Telamon\Clients\ContactPoint;
use Telamon\Messages\Message;
use Telamon\Projects\Project;
use Telamon\Record\RecordsRemoved;
use Telamon\Submissions\Submission;

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
                match (true) {
                    $record instanceof Client => $this->changed['client'][$record->id] = true,
                    $record instanceof ContactPoint => $this->changed['client'][$record->client->id] = true,
                    $record instanceof Contact => $this->changed['contact'][$record->id] = true,
                    $record instanceof Asset => $this->changed['asset'][$record->id] = true,
                    $record instanceof Project => $this->changed['project'][$record->id] = true,
                    $record instanceof Submission => $this->changed['submission'][$record->id] = true,
                    $record instanceof Message => $this->changed['message'][$record->id] = true,
                    default => null,
                };
            }
        }
    }

    public function postFlush(): void
    {
        $changed = $this->changed;
        $this->changed = [];
        foreach ($changed as $kind => $ids) {
            $this->rows->refresh($kind, array_map(strval(...), array_keys($ids)));
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
