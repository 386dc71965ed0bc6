<?php

declare(strict_types=1);

namespace Telamon\Running;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Queue\DueWork;
use Telamon\Queue\NeedsSomebody;

/** Whether the database is whole: looked at once a night (SQLite, PRAGMA quick_check), and told where it is not. */
final readonly class Soundness implements DueWork
{
    /** UTC; deep in the night where Telamon was made, and early morning or late evening elsewhere. */
    private const HOUR = '02';

    public function __construct(private Connection $db, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'soundness';
    }

    public function words(): string
    {
        return 'The database is looked through';
    }

    public function every(): int
    {
        return 900;
    }

    /** @return list<string> the day that it is for */
    public function due(): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $day = $now->format('Y-m-d');
        $seen = $this->db->fetchOne("SELECT value FROM installation_note WHERE name = 'sound'");

        return \is_string($seen) && $seen >= $day || (\is_string($seen) && $now->format('H') < self::HOUR) ? [] : [$day];
    }

    public function carryOut(string $key): void
    {
        $found = $this->db->fetchFirstColumn('PRAGMA quick_check(5)');
        if (['ok'] !== $found) {
            throw new NeedsSomebody(
                'The database is damaged. Stop Telamon, keep a copy of the data folder, and restore the last backup. '.implode('; ', array_filter($found, \is_string(...))),
            );
        }
        $this->db->executeStatement("INSERT INTO installation_note (name, value) VALUES ('sound', ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value", [$key]);
    }
}
