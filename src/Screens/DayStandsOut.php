<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Day\Standing;
use Telamon\Core\Day\StandsOut;
use Telamon\Messages\AutomaticAnswers;
use Telamon\Queue\Stuck;

/** Gathers the numbers of a day and says what stands out of them, as Today.standsOut in the contract. */
final readonly class DayStandsOut
{
    private const PATHS = ['arrivals' => '/arrivals', 'diary' => '/diary', 'messages' => '/messages?state=failed', 'tasks' => '/projects', 'setup' => '/setup'];

    public function __construct(private Connection $db, private Stuck $stuck, private AutomaticAnswers $automatic, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return list<string> visits to come that were booked from outside and belong to nobody on file, for an hour or more */
    private function unknown(): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $words = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT title, who, starts_at FROM appointment WHERE state = 'booked' AND client_id IS NULL AND submission_id IS NOT NULL AND starts_at > ? AND placed_at < ? ORDER BY starts_at LIMIT 5",
            [$now->format('Y-m-d H:i:s'), $now->modify('-1 hour')->format('Y-m-d H:i:s')],
        ) as $row) {
            $text = static fn (string $key): string => \is_string($row[$key] ?? null) ? $row[$key] : '';
            $words[] = "{$text('title')}, ".(new \DateTimeImmutable($text('starts_at'), new \DateTimeZone('UTC')))->setTimezone($this->business->zone())
                ->format('D j M, H:i').", {$text('who')}";
        }

        return $words;
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
        foreach ($this->db->fetchAllKeyValue(
            'SELECT s.name, COUNT(*) FROM task t JOIN project p ON p.id = t.project_id JOIN staff s ON s.id = t.assignee_id WHERE t.finished_at IS NULL AND p.closed_at IS NULL AND t.due < ? GROUP BY s.id',
            [$day],
        ) as $name => $count) {
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
            stuck: [
                ...$this->stuck->words(),
                ...([] === $this->stuck->stalled() ? [] : ['Nothing is done by the clock: reminders, follow-ups and letters that come in wait. Start Telamon again.']),
            ],
            unknown: $this->unknown(),
            silenced: $this->automatic->silenced(),
        );

        return array_map(static fn (array $one): array => ['words' => $one['words'], 'path' => self::PATHS[$one['leads']]], (new StandsOut())->of($standing));
    }
}
