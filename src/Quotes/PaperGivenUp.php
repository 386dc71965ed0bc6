<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\DBAL\Connection;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerMessageFailedEvent;
use Telamon\Messages\MessageState;

/** A paper that cannot be drawn keeps its letter where somebody sees it, instead of waiting for ever. */
#[AsEventListener]
final readonly class PaperGivenUp
{
    public function __construct(private Connection $db)
    {
    }

    public function __invoke(WorkerMessageFailedEvent $event): void
    {
        $command = $event->getEnvelope()->getMessage();
        if ($command instanceof KeepPaper && '' !== $command->message && !$event->willRetry()) {
            $this->db->executeStatement(
                "UPDATE message SET state = ?, papers = '[]', failure = ? WHERE id = ? AND state = ?",
                [MessageState::Held->value, "{$command->name} could not be drawn. The letter can go without it.", $command->message, MessageState::Queued->value],
            );
        }
    }
}
