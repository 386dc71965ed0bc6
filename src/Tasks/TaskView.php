<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Absence;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\DoneBy;
use Telamon\Record\RecordRef;
use Telamon\Staff\Role;

/** Shows tasks as the contract has them. A task waits while one that comes first is open. */
final readonly class TaskView
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @param list<Task> $tasks
     *
     * @return list<array<string, mixed>>
     */
    public function rows(array $tasks): array
    {
        $zone = $this->business->zone();
        $today = $this->clock->now()->setTimezone($zone)->format('Y-m-d');
        $open = $this->openPositions($tasks);
        $notes = $this->notes($tasks);
        $away = $this->away($tasks);

        return array_map(static function (Task $task) use ($zone, $today, $open, $notes, $away): array {
            $state = match (true) {
                null !== $task->finishedAt => TaskState::Done,
                [] !== array_intersect($task->waitsFor, $open[$task->project->id] ?? []) => TaskState::Waiting,
                default => TaskState::ToDo,
            };

            return [
                'id' => $task->id,
                'position' => $task->position,
                'name' => $task->name,
                'state' => $state->value,
                'assignee' => $task->assignee->name,
                'assigneeId' => $task->assignee->id,
                'due' => $task->due->format('Y-m-d'),
                'late' => TaskState::Done !== $state && $task->due->format('Y-m-d') < $today,
                'waitsFor' => $task->waitsFor,
                'project' => RecordRef::of($task->project),
                'version' => $task->version,
                'finishedAt' => $task->finishedAt?->setTimezone($zone)->format(\DATE_RFC3339),
                'reason' => $task->checklist,
                'client' => $task->project->client->name(),
                'takes' => $task->takes,
                'effort' => $task->effort,
                'minutes' => $notes[$task->id]['minutes'] ?? 0,
                'comments' => $notes[$task->id]['comments'] ?? 0,
                'group' => $task->told('group'),
                'words' => $task->told('words'),
                'steps' => array_map(
                    static fn (int $i, string $text): array => ['text' => $text, 'done' => \in_array($i, $task->ticked, true)],
                    array_keys($task->steps()),
                    $task->steps(),
                ),
                'doneBy' => DoneBy::tryFrom($task->told('doneBy'))?->words() ?? '',
                'approval' => Role::tryFrom($task->told('approval'))?->entry()->approver ?? '',
                'shown' => true === ($task->brief['shown'] ?? false),
                'handDated' => $task->handDated,
                'fromList' => $task->followsList(),
                'away' => TaskState::Done !== $state && isset($away[$task->id]),
            ];
        }, $tasks);
    }

    /**
     * @param list<Task> $tasks
     *
     * @return array<string, list<int>> by project id
     */
    private function openPositions(array $tasks): array
    {
        $projects = array_values(array_unique(array_map(static fn (Task $task): string => $task->project->id, $tasks)));
        /** @var list<array{id: string, position: int}> $rows */
        $rows = $this->em->createQueryBuilder()->select('IDENTITY(t.project) AS id', 't.position AS position')->from(Task::class, 't')
            ->where('t.finishedAt IS NULL')->andWhere('t.project IN (:projects)')->setParameter('projects', $projects)
            ->getQuery()->getResult();
        $open = [];
        foreach ($rows as $row) {
            $open[$row['id']][] = $row['position'];
        }

        return $open;
    }

    /**
     * @param list<Task> $tasks
     *
     * @return array<string, array{minutes: int, comments: int}> by id
     */
    private function notes(array $tasks): array
    {
        /** @var list<array{id: string, minutes: int|string|null, comments: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()
            ->select('IDENTITY(n.task) AS id', 'SUM(n.minutes) AS minutes', "SUM(CASE WHEN n.text <> '' THEN 1 ELSE 0 END) AS comments")
            ->from(TaskNote::class, 'n')
            ->where('n.task IN (:tasks)')->setParameter('tasks', $tasks)->groupBy('n.task')->getQuery()->getResult();
        $notes = [];
        foreach ($rows as $row) {
            $notes[$row['id']] = ['minutes' => (int) $row['minutes'], 'comments' => (int) $row['comments']];
        }

        return $notes;
    }

    /**
     * @param list<Task> $tasks
     *
     * @return array<string, true> ids of those that are due on a day off of whoever does them
     */
    private function away(array $tasks): array
    {
        $staff = array_values(array_unique(array_map(static fn (Task $task): string => $task->assignee->id, $tasks)));
        $spans = [];
        foreach ([] === $staff ? [] : $this->em->getRepository(Absence::class)->findBy(['staff' => $staff]) as $absence) {
            $spans[$absence->staff->id][] = [$absence->first->format('Y-m-d'), $absence->last->format('Y-m-d')];
        }
        $away = [];
        foreach ($tasks as $task) {
            $due = $task->due->format('Y-m-d');
            foreach ($spans[$task->assignee->id] ?? [] as [$first, $last]) {
                if ($first <= $due && $due <= $last) {
                    $away[$task->id] = true;
                }
            }
        }

        return $away;
    }
}
