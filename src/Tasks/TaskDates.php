<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\Due;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Core\Checklists\DueUnit;
use Telamon\Core\Checklists\Merged;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Projects\Project;

/** Dates the tasks of a project by the days that they hang on. */
final readonly class TaskDates
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private AppointmentOfProject $appointments, private ClockInterface $clock)
    {
    }

    /**
     * What open tasks would be due when the project had to be ready by this day: those of checklists, but for those that
     * somebody dated by hand.
     *
     * @return list<array{task: Task, due: \DateTimeImmutable}> only those that move
     */
    public function moved(Project $project, ?\DateTimeImmutable $readyBy): array
    {
        $tasks = $this->tasks($project);
        $dated = $this->merged($tasks, $project, new Anchors($project->openedAt->setTimezone($this->business->zone()), $readyBy, null, $this->appointments->of($project->id)));
        $due = [];
        foreach ($dated->tasks ?? [] as $one) {
            $due[$one->item->key] = $one->due;
        }
        $moved = [];
        foreach ($tasks as $task) {
            $to = $due[self::key($task)] ?? null;
            $finished = $this->fromFinished($task, $tasks);
            $to = $finished ?? $to;
            if (null === $task->finishedAt && !$task->handDated && '' !== $task->item && null !== $to && $to->format('Y-m-d') !== $task->due->format('Y-m-d')) {
                $moved[] = ['task' => $task, 'due' => $to];
            }
        }

        return $moved;
    }

    /** What is still to do, from today on: which tasks decide when it is done, and what each may slip. */
    public function ahead(Project $project): ?Merged
    {
        $open = array_values(array_filter($this->tasks($project), static fn (Task $task): bool => null === $task->finishedAt));

        return [] === $open ? null : $this->merged($open, $project, new Anchors($this->clock->now()->setTimezone($this->business->zone()), $project->readyBy));
    }

    public static function key(Task $task): string
    {
        return "t{$task->position}";
    }

    /** @param list<Task> $tasks */
    private function merged(array $tasks, Project $project, Anchors $anchors): ?Merged
    {
        $places = [];
        foreach ($tasks as $task) {
            $places[$task->item] = self::key($task);
        }
        $items = array_map(static fn (Task $task): ChecklistItem => new ChecklistItem(self::key($task), $task->name, Doer::lead(), $task->takes, self::due($task, $places), array_map(static fn (int $number): string => "t$number", $task->waitsFor)), $tasks);
        try {
            return (new ChecklistMerge($this->business->workingDays()))->merge([new Checklist('project', $project->title, $items)], $anchors);
        } catch (WorkInCircle|UnreadableOutline) {
            // Tasks that wait for one another in a circle cannot be dated; the list still shows them.
            return null;
        }
    }

    /** @param array<string, string> $places key of the task by full key of its item */
    private static function due(Task $task, array $places): ?Due
    {
        $due = self::said($task);

        return null === $due || DueFrom::Item !== $due->from ? $due : new Due(DueFrom::Item, $due->amount, $due->unit, $places[self::meant($task, $due)] ?? '');
    }

    private static function said(Task $task): ?Due
    {
        $due = $task->brief['due'] ?? null;
        if (!\is_array($due) || !\is_string($due['from'] ?? null) || !\is_int($due['amount'] ?? null)) {
            return null;
        }
        $from = DueFrom::tryFrom($due['from']);
        $unit = DueUnit::tryFrom(\is_string($due['unit'] ?? null) ? $due['unit'] : '') ?? DueUnit::WorkingDays;

        return null === $from ? null : new Due($from, $due['amount'], $unit, \is_string($due['item'] ?? null) ? $due['item'] : '');
    }

    /** Full key of the item whose completion counts. */
    private static function meant(Task $task, Due $due): string
    {
        return str_contains($due->item, '/') ? $due->item : explode('/', $task->item)[0]."/{$due->item}";
    }

    /**
     * Counted from the day on which another was really done.
     *
     * @param list<Task> $tasks
     */
    private function fromFinished(Task $task, array $tasks): ?\DateTimeImmutable
    {
        $due = self::said($task);
        if (null === $due || DueFrom::Item !== $due->from) {
            return null;
        }
        foreach ($tasks as $other) {
            if (null !== $other->finishedAt && $other->item === self::meant($task, $due)) {
                $day = Anchors::day($other->finishedAt->setTimezone($this->business->zone()));
                $calendar = $this->business->workingDays();

                return DueUnit::CalendarDays === $due->unit ? $calendar->add($day->modify(\sprintf('%+d days', $due->amount)), 0) : $calendar->add($day, $due->amount);
            }
        }

        return null;
    }

    /** @return list<Task> */
    private function tasks(Project $project): array
    {
        return $this->em->getRepository(Task::class)->findBy(['project' => $project], ['position' => 'ASC', 'id' => 'ASC']);
    }
}
