<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** How the queue of messages stands. */
final readonly class QueueState
{
    public function __construct(private Connection $db, private ClockInterface $clock)
    {
    }

    /** @return array{waiting: int, failed: int, oldestSeconds: int} how long the oldest message that is due has waited */
    public function read(): array
    {
        $now = $this->clock->now()->getTimestamp();
        $row = $this->db->fetchAssociative(
            "SELECT COUNT(*) FILTER (WHERE queue = 'outbox') AS waiting, COUNT(*) FILTER (WHERE queue = 'failed') AS failed,
                MIN(available_at) FILTER (WHERE queue = 'outbox' AND available_at <= ?) AS oldest FROM queued",
            [$now],
        );
        $number = static fn (string $key): int => \is_array($row) && is_numeric($row[$key]) ? (int) $row[$key] : 0;

        return ['waiting' => $number('waiting'), 'failed' => $number('failed'), 'oldestSeconds' => 0 === $number('oldest') ? 0 : max(0, $now - $number('oldest'))];
    }
}
