<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** What could not be done by the clock, how often it was tried and when it is tried again; and hosts that are left alone for a while. */
final readonly class DueTroubles
{
    /** Tries after which a person is told. */
    public const STUCK = 3;
    private const FIRST_WAIT = 60;
    private const LONGEST_WAIT = 21_600;
    private const HOST = 'host';
    private const LONGEST_PAUSE = 900;
    /** Failures in a row after which a host is left alone. */
    private const BREAKS = 3;

    public function __construct(private Connection $db, private ClockInterface $clock)
    {
    }

    /** @return array<string, true> keys that wait for their next try */
    public function waiting(DueWork $work): array
    {
        /** @var list<string> $keys */
        $keys = $this->db->fetchFirstColumn('SELECT record FROM due_trouble WHERE work = ? AND next_at > ?', [$work->name(), $this->now()]);

        return array_fill_keys($keys, true);
    }

    /**
     * @param bool $tell whether somebody is told the first time
     *
     * @return int seconds until the next try: 1, 4, 16, 64 minutes and so on, six hours at the most
     */
    public function failed(string $work, string $key, string $why, bool $tell = false): int
    {
        $tries = max($tell ? self::STUCK : 1, $this->tries($work, $key) + 1);
        $wait = min(self::HOST === $work ? self::LONGEST_PAUSE : self::LONGEST_WAIT, self::FIRST_WAIT * 4 ** min($tries - 1, 6));
        $this->db->executeStatement(
            'INSERT INTO due_trouble (work, record, tries, since, next_at, why) VALUES (:work, :key, :tries, :now, :next, :why) ON CONFLICT (work, record) DO UPDATE SET tries = :tries, next_at = :next, why = :why',
            ['work' => $work, 'key' => $key, 'tries' => $tries, 'now' => $this->now(), 'next' => $this->now() + $wait, 'why' => mb_scrub(mb_substr($why, 0, 300))],
        );

        return $wait;
    }

    public function hostFailed(string $host, string $why): void
    {
        $this->failed(self::HOST, $host, $why);
    }

    public function hostAnswers(string $host): void
    {
        $this->isOver(self::HOST, $host);
    }

    public function isOver(string $work, string $key): void
    {
        // Looking takes no lock.
        if ($this->tries($work, $key) > 0) {
            $this->db->executeStatement('DELETE FROM due_trouble WHERE work = ? AND record = ?', [$work, $key]);
        }
    }

    /**
     * What is due no longer is no trouble.
     *
     * @param list<string> $due
     */
    public function forget(DueWork $work, array $due): void
    {
        foreach ($this->db->fetchFirstColumn('SELECT record FROM due_trouble WHERE work = ?', [$work->name()]) as $key) {
            if (\is_string($key) && !\in_array($key, $due, true)) {
                $this->isOver($work->name(), $key);
            }
        }
    }

    /** Whether a host is left alone: it failed several times in a row, and it is not yet time to ask it again. */
    public function isLeftAlone(string $host): bool
    {
        return '' !== $host
            && false !== $this->db->fetchOne(
                'SELECT 1 FROM due_trouble WHERE work = ? AND record = ? AND tries >= ? AND next_at > ?',
                [self::HOST, $host, self::BREAKS, $this->now()],
            );
    }

    /** @return list<array{work: string, record: string, tries: int, since: int, why: string}> what was tried often enough that a person should look, the longest first */
    public function stuck(): array
    {
        $found = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT work, record, tries, since, why FROM due_trouble WHERE tries >= ? AND work <> ? ORDER BY since, work, record LIMIT 100',
            [self::STUCK, self::HOST],
        ) as $row) {
            $text = static fn (string $key): string => \is_scalar($row[$key] ?? null) ? (string) $row[$key] : '';
            $found[] = ['work' => $text('work'), 'record' => $text('record'), 'tries' => (int) $text('tries'), 'since' => (int) $text('since'), 'why' => $text('why')];
        }

        return $found;
    }

    private function tries(string $work, string $key): int
    {
        $tries = $this->db->fetchOne('SELECT tries FROM due_trouble WHERE work = ? AND record = ?', [$work, $key]);

        return is_numeric($tries) ? (int) $tries : 0;
    }

    private function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }
}
