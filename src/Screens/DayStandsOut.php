<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Doctrine\DBAL\Connection;
use Telamon\Core\Day\Standing;
use Telamon\Core\Day\StandsOut;
use Telamon\Queue\Stuck;

/** Gathers the numbers of a day and says what stands out of them, as Today.standsOut in the contract. */
final readonly class DayStandsOut
{
    private const PATHS = ['arrivals' => '/arrivals', 'diary' => '/diary', 'messages' => '/messages?state=failed', 'tasks' => '/projects', 'setup' => '/setup'];

    public function __construct(private Connection $db, private Stuck $stuck)
    {
    }

    /**
     * @param array{waiting: int, decide: int, over: list<int>} $waiting
     * @param list<array{what: string, words: string}> $needs of the diary, of yesterday to tomorrow
     * @param list<array{day: string, counts: list<array{source: string, count: int}>}> $came by day, the last today
     *
     * @return list<array{words: string, path: string}>
     */
    public function of(array $waiting, array $needs, array $came, string $day): array
    {
        $late = [];
        foreach ($this->db->fetchAllKeyValue('SELECT s.name, COUNT(*) FROM task t JOIN project p ON p.id = t.project_id JOIN staff s ON s.id = t.assignee_id WHERE t.finished_at IS NULL AND p.closed_at IS NULL AND t.due < ? GROUP BY s.id', [$day]) as $name => $count) {
            $late[explode(' ', (string) $name)[0]] = is_numeric($count) ? (int) $count : 0;
        }
        $failed = $this->db->fetchOne("SELECT COUNT(*) FROM message WHERE state = 'failed'");
        $count = static fn (string $what): int => \count(array_filter($needs, static fn (array $one): bool => $what === $one['what']));
        $standing = new Standing(
            $waiting['over'],
            $waiting['decide'],
            $late,
            array_column(array_filter($needs, static fn (array $one): bool => 'clash' === $one['what']), 'words'),
            $count('unmarked'),
            $count('wish'),
            is_numeric($failed) ? (int) $failed : 0,
            array_map(static fn (array $one): int => array_sum(array_column($one['counts'], 'count')), \array_slice($came, 0, -1)),
            [...$this->stuck->words(), ...([] === $this->stuck->stalled() ? [] : ['Nothing is done by the clock: reminders, follow-ups and letters that come in wait. Start Telamon again.'])],
        );

        return array_map(static fn (array $one): array => ['words' => $one['words'], 'path' => self::PATHS[$one['leads']]], (new StandsOut())->of($standing));
    }
}
