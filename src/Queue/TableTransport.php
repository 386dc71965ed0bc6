<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Exception\MessageDecodingFailedException;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Symfony\Component\Messenger\Stamp\TransportMessageIdStamp;
use Symfony\Component\Messenger\Transport\Receiver\ListableReceiverInterface;
use Symfony\Component\Messenger\Transport\Receiver\MessageCountAwareInterface;
use Symfony\Component\Messenger\Transport\Serialization\SerializerInterface;
use Symfony\Component\Messenger\Transport\TransportInterface;

/**
 * A Messenger transport over a table of the application's own database: what is queued in a transaction is
 * there if and only if the transaction is. A message taken and not acknowledged comes back after a while.
 */
final readonly class TableTransport implements TransportInterface, ListableReceiverInterface, MessageCountAwareInterface
{
    /** Seconds after which a taken message counts as left behind by a worker that died. */
    public const LEFT_BEHIND = 60;
    /** Seconds by which processes may read the clock apart. */
    private const AHEAD = 5;

    public function __construct(
        private Connection $db,
        private SerializerInterface $serializer,
        private ClockInterface $clock,
        private string $queue,
    ) {
    }

    public function send(Envelope $envelope): Envelope
    {
        $encoded = $this->serializer->encode($envelope);
        $now = $this->clock->now()->getTimestamp();
        $delay = $envelope->last(DelayStamp::class)?->getDelay() ?? 0;
        $this->db->insert('queued', [
            'queue' => $this->queue,
            'body' => $encoded['body'],
            'headers' => json_encode($encoded['headers'] ?? [], \JSON_THROW_ON_ERROR),
            'queued_at' => $now,
            'available_at' => $now + intdiv($delay, 1000),
        ]);

        return $envelope->with(new TransportMessageIdStamp((string) $this->db->lastInsertId()));
    }

    public function get(): iterable
    {
        $now = $this->clock->now()->getTimestamp();
        // What was queued or taken later than now was so before the clock went back: it must not wait until then.
        $ready = 'queue = :queue AND (available_at <= :now OR queued_at > :ahead) AND (taken_at IS NULL OR taken_at <= :left_behind OR taken_at > :ahead)';
        $values = ['queue' => $this->queue, 'now' => $now, 'left_behind' => $now - self::LEFT_BEHIND, 'ahead' => $now + self::AHEAD];
        // Looking takes no lock; only a message that is there is worth one.
        if (false === $this->db->fetchOne("SELECT id FROM queued WHERE $ready LIMIT 1", $values)) {
            return [];
        }
        $row = $this->db->fetchAssociative(
            "UPDATE queued SET taken_at = :now WHERE id = (SELECT id FROM queued WHERE $ready ORDER BY available_at, id LIMIT 1) RETURNING id, body, headers",
            $values,
        );

        return false === $row ? [] : [$this->envelope($row)];
    }

    public function ack(Envelope $envelope): void
    {
        $this->db->delete('queued', ['id' => self::id($envelope)]);
    }

    public function reject(Envelope $envelope): void
    {
        $this->ack($envelope);
    }

    public function all(?int $limit = null): iterable
    {
        $rows = $this->db->fetchAllAssociative('SELECT id, body, headers FROM queued WHERE queue = ? ORDER BY id LIMIT ?', [$this->queue, $limit ?? 1000]);
        foreach ($rows as $row) {
            yield $this->envelope($row);
        }
    }

    public function find(mixed $id): ?Envelope
    {
        $row = $this->db->fetchAssociative('SELECT id, body, headers FROM queued WHERE queue = ? AND id = ?', [$this->queue, \is_scalar($id) ? (int) $id : 0]);

        return false === $row ? null : $this->envelope($row);
    }

    public function getMessageCount(): int
    {
        $count = $this->db->fetchOne('SELECT COUNT(*) FROM queued WHERE queue = ?', [$this->queue]);

        return is_numeric($count) ? (int) $count : 0;
    }

    /** @param array<string, mixed> $row */
    private function envelope(array $row): Envelope
    {
        $id = \is_scalar($row['id']) ? (string) $row['id'] : '';
        try {
            $envelope = $this->serializer->decode([
                'body' => \is_string($row['body']) ? $row['body'] : '',
                'headers' => array_filter((array) json_decode(\is_string($row['headers']) ? $row['headers'] : '[]', true), \is_string(...)),
            ]);
        } catch (MessageDecodingFailedException $error) {
            $this->db->delete('queued', ['id' => (int) $id]);
            throw $error;
        }

        return $envelope->withoutAll(TransportMessageIdStamp::class)->with(new TransportMessageIdStamp($id));
    }

    private static function id(Envelope $envelope): int
    {
        $id = $envelope->last(TransportMessageIdStamp::class)?->getId();

        return is_numeric($id) ? (int) $id : throw new \LogicException('the envelope did not come from this transport');
    }
}
