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
        $midnight = $now->setTime(0, 0);
        $utc = new \DateTimeZone('UTC');
        $projects = [];
        foreach ($rows as $row) {
            $id = self::text($row, 'id');
            $tags = json_decode(self::text($row, 'tags'), true);
            $open = $tasks[$id] ?? [];
            $next = self::next($open);
            $since = (new \DateTimeImmutable(self::text($row, 'since'), $utc))->setTimezone($now->getTimezone())->setTime(0, 0);
            $projects[] = [
                'id' => $id, 'number' => self::text($row, 'number'), 'title' => self::text($row, 'title'), 'client' => '' === self::text($row, 'client') ? 'No name given' : self::text($row, 'client'), 'stage' => self::text($row, 'stage'),
                'service' => self::text($row, 'service'), 'source' => self::text($row, 'source'), 'tags' => \is_array($tags) ? $tags : [], 'lead' => self::text($row, 'lead'), 'leadId' => self::text($row, 'lead_id'),
                'readyBy' => '' === self::text($row, 'ready_by') ? null : substr(self::text($row, 'ready_by'), 0, 10), 'version' => is_numeric($row['version']) ? (int) $row['version'] : 1,
                'days' => (int) $since->diff($midnight)->format('%r%a'), 'worth' => $worth[$id]['total'] ?? null,
                'next' => null === $next ? null : ['name' => $next['name'], 'due' => $next['due'], 'who' => $next['who']],
                'late' => [] !== array_filter($open, static fn (array $task): bool => $task['due'] < $now->format('Y-m-d')),
                'waiting' => ($worth[$id]['asked'] ?? false) || ([] !== $open && (null === $next || $next['itself'])),
                'open' => \count($open),
            ];
        }

        return ['stages' => $this->stages(), 'projects' => $projects, 'currency' => $this->business->business()->currency, 'more' => $more];
    }

    /** @return list<array{name: string, days: int|null, ends: string}> */
    private function stages(): array
    {
        return array_map(static fn (array $row): array => ['name' => self::text($row, 'name'), 'days' => is_numeric($row['days']) ? (int) $row['days'] : null, 'ends' => self::text($row, 'ends')], $this->db->fetchAllAssociative('SELECT name, days, ends FROM stage ORDER BY position, id'));
    }

    /** @return array<string, list<array{position: int, name: string, due: string, who: string, waits: list<int>, itself: bool}>> open tasks by project, in their order */
    private function tasks(): array
    {
        $tasks = [];
        $rows = $this->db->iterateAssociative("SELECT t.project_id, t.position, t.name, t.due, t.waits_for, json_extract(t.brief, '$.doneBy') AS done_by, s.name AS who FROM task t JOIN project p ON p.id = t.project_id JOIN staff s ON s.id = t.assignee_id WHERE p.outcome = 'open' AND t.finished_at IS NULL ORDER BY t.project_id, t.position");
        foreach ($rows as $row) {
            $waits = json_decode(self::text($row, 'waits_for'), true);
            $tasks[self::text($row, 'project_id')][] = ['position' => is_numeric($row['position']) ? (int) $row['position'] : 0, 'name' => self::text($row, 'name'), 'due' => substr(self::text($row, 'due'), 0, 10), 'who' => explode(' ', self::text($row, 'who'))[0], 'waits' => \is_array($waits) ? array_values(array_filter($waits, \is_int(...))) : [], 'itself' => '' !== self::text($row, 'done_by')];
        }

        return $tasks;
    }

    /**
     * @param list<array{position: int, name: string, due: string, who: string, waits: list<int>, itself: bool}> $open
     *
     * @return array{position: int, name: string, due: string, who: string, waits: list<int>, itself: bool}|null the first that waits for nothing that is open
     */
    private static function next(array $open): ?array
    {
        $positions = array_column($open, 'position');
        foreach ($open as $task) {
            if ([] === array_intersect($task['waits'], $positions)) {
                return $task;
            }
        }

        return null;
    }

    /** @return array<string, array{total: string, asked: bool}> by project, what its newest quote comes to, and whether that waits for a yes */
    private function worth(): array
    {
        $worth = [];
        foreach ($this->db->iterateAssociative("SELECT q.project_id, q.total, q.state FROM quote q JOIN project p ON p.id = q.project_id WHERE p.outcome = 'open' AND q.currency = ? AND q.state IN ('draft', 'sent', 'opened', 'accepted') ORDER BY (q.state = 'accepted'), q.made_at", [$this->business->business()->currency]) as $row) {
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
