<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** Who does which work by the clock: taken by one UPDATE, and for a time only, so that a process that died keeps nothing. */
final class DueLease
{
    /** Longer than one piece of work may take ({@see DueRun::SECONDS}). */
    public const SECONDS = 120;

    private readonly string $me;

    public function __construct(private readonly Connection $db, private readonly ClockInterface $clock)
    {
        $this->me = bin2hex(random_bytes(8));
    }

    /** Takes a kind of work where nobody has it and it is time to look; a clock that was set back counts as time gone by. */
    public function take(DueWork $work): bool
    {
        $now = $this->now();
        // Looking takes no lock; only what is due is worth one.
        $row = $this->db->fetchAssociative('SELECT next_at, looked_at, taken_until FROM due_work WHERE name = ?', [$work->name()]);
        if (false !== $row && !self::isFree($row, $now)) {
            return false;
        }

        return 1 === $this->db->executeStatement(
            'INSERT INTO due_work (name, next_at, looked_at, taken_until, taken_by) VALUES (:name, :next, :now, :until, :me) ON CONFLICT (name) DO UPDATE SET next_at = :next, looked_at = :now, taken_until = :until, taken_by = :me
             WHERE (due_work.next_at <= :now OR due_work.looked_at > :now) AND (due_work.taken_until IS NULL OR due_work.taken_until <= :now OR due_work.looked_at > :now)',
            ['name' => $work->name(), 'now' => $now, 'next' => $now + $work->every(), 'until' => $now + self::SECONDS, 'me' => $this->me],
        );
    }

    /** @return bool whether it is still ours: asked before each piece, which has the whole time for itself */
    public function isOurs(DueWork $work): bool
    {
        return 1 === $this->db->executeStatement('UPDATE due_work SET taken_until = ? WHERE name = ? AND taken_by = ?', [$this->now() + self::SECONDS, $work->name(), $this->me]);
    }

    public function letGo(DueWork $work): void
    {
        $this->db->executeStatement('UPDATE due_work SET taken_until = NULL WHERE name = ? AND taken_by = ?', [$work->name(), $this->me]);
    }

    /** @param array<string, mixed> $row */
    private static function isFree(array $row, int $now): bool
    {
        $number = static fn (string $key): int => is_numeric($row[$key] ?? null) ? (int) $row[$key] : 0;

        return $number('looked_at') > $now || ($number('next_at') <= $now && $number('taken_until') <= $now);
    }

    private function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }
}
