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
use Telamon\Core\Checklists\Merged;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Projects\Project;

/** Dates the tasks of a project by the days that they hang on. */
final readonly class TaskDates
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private Replanning $replanning, private ClockInterface $clock)
    {
    }

    /**
     * What open tasks would be due when the project had to be ready by this day: those of checklists, but for those that
     * somebody dated by hand.
     *
     * @param Task|null $anew whose day is worked out though somebody has set it, or it is over
     *
     * @return list<array{task: Task, due: \DateTimeImmutable}> only those that move
     */
    public function moved(Project $project, ?\DateTimeImmutable $readyBy, ?Task $anew = null): array
    {
        try {
            return $this->replanning->of($project, $readyBy, anew: $anew)->moved();
        } catch (WorkInCircle|UnreadableOutline) {
            // Tasks that wait for one another in a circle cannot be dated; the list still shows them.
            return [];
        }
    }

    /**
     * What has to move because one task ends later, or another does than did: all that waits for it, however far down.
     *
     * @param bool $later whether only a later day counts
     *
     * @return array{moved: list<array{task: Task, due: \DateTimeImmutable}>, held: list<array{task: Task, earliest: string}>}
     */
    public function behind(Task $task, bool $later): array
    {
        return $this->among($task->project, Replanned::behind($task, ...$this->tasks($task->project)) + [$task->position => true], $later);
    }

    /**
     * What has to move because something that days are counted from is another day: those tasks, and all that waits for them.
     *
     * @param string $what as in DueFrom
     *
     * @return array{moved: list<array{task: Task, due: \DateTimeImmutable}>, held: list<array{task: Task, earliest: string}>}
     */
    public function countedFrom(Project $project, string $what): array
    {
        $tasks = $this->tasks($project);
        $numbers = [];
        foreach ($tasks as $task) {
            if ($task->isDueAfter($what)) {
                $numbers += Replanned::behind($task, ...$tasks) + [$task->position => true];
            }
        }

        return [] === $numbers ? ['moved' => [], 'held' => []] : $this->among($project, $numbers, false);
    }

    /**
     * @param array<int, true> $numbers
     *
     * @return array{moved: list<array{task: Task, due: \DateTimeImmutable}>, held: list<array{task: Task, earliest: string}>}
     */
    private function among(Project $project, array $numbers, bool $later): array
    {
        try {
            $anew = $this->replanning->of($project, $project->readyBy);
        } catch (WorkInCircle|UnreadableOutline) {
            return ['moved' => [], 'held' => []];
        }

        return [
            'moved' => array_values(array_filter(
                $anew->moved(),
                static fn (array $one): bool => isset($numbers[$one['task']->position]) && (!$later || $one['due'] > $one['task']->due),
            )),
            'held' => array_values(array_filter($anew->held(), static fn (array $one): bool => isset($numbers[$one['task']->position]))),
        ];
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
        $items = array_map(
            static fn (Task $task): ChecklistItem => new ChecklistItem(
                self::key($task),
                $task->name,
                Doer::lead(),
                $task->takes,
                null,
                array_map(static fn (int $number): string => "t$number", $task->waitsFor),
            ),
            $tasks,
        );
        try {
            return (new ChecklistMerge($this->business->workingDays()))->merge([new Checklist('project', $project->title, $items)], $anchors);
        } catch (WorkInCircle|UnreadableOutline) {
            // Tasks that wait for one another in a circle cannot be dated; the list still shows them.
            return null;
        }
    }

    /** @return list<Task> */
    private function tasks(Project $project): array
    {
        return $this->em->getRepository(Task::class)->findBy(['project' => $project], ['position' => 'ASC', 'id' => 'ASC']);
    }
}
