<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\DBAL\Connection;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerMessageFailedEvent;

/** Marks a message as failed once the last try has failed. Runs before the failure is filed. */
#[AsEventListener(priority: -50)]
final readonly class GiveUp
{
    public function __construct(private Connection $db)
    {
    }

    public function __invoke(WorkerMessageFailedEvent $event): void
    {
        $command = $event->getEnvelope()->getMessage();
        if ($command instanceof SendMessage && !$event->willRetry()) {
            $this->db->executeStatement(
                'UPDATE message SET state = ? WHERE id = ? AND state IN (?, ?)',
                [MessageState::Failed->value, $command->messageId, MessageState::Queued->value, MessageState::Sending->value],
            );
        }
    }
}
