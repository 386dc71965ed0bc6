<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Brick\Math\BigDecimal;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Business\StageEnd;

/** The wall: every open project as a stone in the course of its stage. Read by rows, as there may be many. */
final readonly class WallView
{
    private const MOST = 1000;

    public function __construct(private Connection $db, private Profile $business, private Viewer $viewer, private ClockInterface $clock)
    {
    }

    /** @return array{stages: list<array{name: string, days: int|null, ends: string}>, projects: list<array<string, mixed>>, currency: string, more: bool} as Wall in the contract */
    public function show(): array
    {
        $now = $this->clock->now()->setTimezone($this->business->zone());
        $own = $this->viewer->projects();
        $rows = $this->db->fetchAllAssociative(
            "SELECT p.id, p.number, p.title, p.stage, p.service, p.source, p.tags, p.ready_by, p.version, COALESCE(p.stage_since, p.opened_at) AS since, p.lead_id, s.name AS lead, trim(c.given_name || ' ' || c.family_name) AS client
             FROM project p JOIN client c ON c.id = p.client_id JOIN staff s ON s.id = p.lead_id WHERE p.outcome = ?".(null === $own ? '' : ' AND p.id IN (?)').' ORDER BY since, p.id LIMIT '.(self::MOST + 1),
            [StageEnd::Open->value, ...(null === $own ? [] : [$own])],
            null === $own ? [] : [1 => ArrayParameterType::STRING],
        );
        $more = \count($rows) > self::MOST;
        $rows = \array_slice($rows, 0, self::MOST);
        $tasks = $this->tasks();
        $worth = $this->worth();
        $today = $now->format('Y-m-d');
        $projects = [];
        foreach ($rows as $row) {
            $id = self::text($row, 'id');
            $tags = '[]' === $row['tags'] ? [] : json_decode(self::text($row, 'tags'), true);
            $since = self::text($row, 'since');
            $projects[] = [
                'id' => $id, 'number' => self::text($row, 'number'), 'title' => self::text($row, 'title'), 'client' => '' === $row['client']
                    ? 'No name given'
                    : self::text($row, 'client'), 'stage' => self::text($row, 'stage'),
                'service' => self::text($row, 'service'), 'source' => self::text($row, 'source'), 'tags' => \is_array($tags)
                    ? $tags
                    : [], 'lead' => self::text($row, 'lead'), 'leadId' => self::text($row, 'lead_id'),
                'readyBy' => null === $row['ready_by'] ? null : substr(self::text($row, 'ready_by'), 0, 10), 'version' => is_numeric($row['version']) ? (int) $row['version'] : 1,
                'days' => self::daysSince($since, $now), 'worth' => $worth[$id]['total'] ?? null,
                'next' => isset($tasks[$id]['next']) ? array_diff_key($tasks[$id]['next'], ['itself' => true]) : null,
                'late' => isset($tasks[$id]) && $tasks[$id]['first'] < $today,
                'waiting' => ($worth[$id]['asked'] ?? false) || (isset($tasks[$id]) && (null === $tasks[$id]['next'] || $tasks[$id]['next']['itself'])),
                'open' => $tasks[$id]['open'] ?? 0,
            ];
        }

        return ['stages' => $this->stages(), 'projects' => $projects, 'currency' => $this->business->business()->currency, 'more' => $more];
    }

    /** @param string $since a moment in UTC */
    private static function daysSince(string $since, \DateTimeImmutable $now): int
    {
        $day = (new \DateTimeImmutable($since, new \DateTimeZone('UTC')))->setTimezone($now->getTimezone())->setTime(0, 0);

        return (int) $day->diff($now->setTime(0, 0))->format('%r%a');
    }

    /** @return list<array{name: string, days: int|null, ends: string}> */
    private function stages(): array
    {
        return array_map(
            static fn (array $row): array => [
                'name' => self::text($row, 'name'),
                'days' => is_numeric($row['days']) ? (int) $row['days'] : null,
                'ends' => self::text($row, 'ends'),
            ],
            $this->db->fetchAllAssociative('SELECT name, days, ends FROM stage ORDER BY position, id'),
        );
    }

    /**
     * Of every project with open tasks: how many, the earliest due day, and the first that waits for none that is open. One
     * pass over rows as they lie, in PHP: two groupings in SQL took twice as long.
     *
     * @return array<string, array{open: int, first: string, next: array{name: string, due: string, who: string, itself: bool}|null}>
     */
    private function tasks(): array
    {
        $names = $this->db->fetchAllKeyValue('SELECT id, name FROM staff');
        $open = [];
        foreach ($this->db->iterateNumeric(
            "SELECT project_id, position, waits_for, due, name, assignee_id, instr(brief, '\"doneBy\":\"') > 0 FROM task WHERE finished_at IS NULL",
        ) as $row) {
            /** @var array{string, int, string, string, string, string, int} $row */
            $open[$row[0]][$row[1]] = $row;
        }
        $found = [];
        foreach ($open as $project => $tasks) {
            ksort($tasks);
            $next = null;
            foreach ($tasks as $task) {
                if ('[]' === $task[2] || [] === array_intersect_key(array_flip(array_map(intval(...), explode(',', substr($task[2], 1, -1)))), $tasks)) {
                    $name = $names[$task[5]] ?? '';
                    $next = ['name' => $task[4], 'due' => substr($task[3], 0, 10), 'who' => \is_string($name) ? explode(' ', $name)[0] : '', 'itself' => 1 === $task[6]];
                    break;
                }
            }
            $found[$project] = ['open' => \count($tasks), 'first' => substr(min(array_column($tasks, 3)), 0, 10), 'next' => $next];
        }

        return $found;
    }

    /** @return array<string, array{total: string, asked: bool}> by project, what its newest quote comes to, and whether that waits for a yes */
    private function worth(): array
    {
        $worth = [];
        foreach ($this->db->iterateAssociative(
            "SELECT q.project_id, q.total, q.state FROM quote q JOIN project p ON p.id = q.project_id WHERE p.outcome = 'open' AND q.currency = ? AND q.state IN ('draft', 'sent', 'opened', 'accepted') ORDER BY (q.state = 'accepted'), q.made_at",
            [$this->business->business()->currency],
        ) as $row) {
            $state = self::text($row, 'state');
            $project = self::text($row, 'project_id');
            // An accepted one counts before all others; several accepted ones together.
            $before = 'accepted' === $state && 'accepted' === ($worth[$project]['state'] ?? '') ? BigDecimal::of($worth[$project]['total']) : BigDecimal::zero();
            $worth[$project] = ['total' => (string) $before->plus(self::text($row, 'total')), 'asked' => \in_array($state, ['sent', 'opened'], true), 'state' => $state];
        }

        return array_map(static fn (array $one): array => ['total' => $one['total'], 'asked' => $one['asked']], $worth);
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_scalar($row[$name] ?? null) ? (string) $row[$name] : '';
    }
}
