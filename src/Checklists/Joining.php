<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\Crew;
use Telamon\Core\Checklists\Included;
use Telamon\Core\Checklists\Joins;
use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Core\Condition\Facts;
use Telamon\Projects\Project;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;
use Telamon\Tasks\CrewOfBusiness;
use Telamon\Tasks\Replanning;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskNames;

/** Brings a checklist into a project that is under way: adds what is new, takes out what is gone, dates what is open. Done tasks stay as they are. */
final readonly class Joining
{
    public function __construct(
        private EntityManagerInterface $em,
        private Replanning $replanning,
        private AnswersOfProject $answers,
        private CrewOfBusiness $crew,
        private TaskNames $names,
    ) {
    }

    /**
     * Call it inside a change to keep it; without, what it did to the tasks has to be cleared.
     *
     * @param array<string, Checklist> $all that are kept, by key
     *
     * @throws InvalidInput where the checklists cannot be joined
     */
    public function join(Project $project, Checklist $list, array $all): Joined
    {
        // Conditions and waits of this list; the others are as the project has them, whatever their lists say now.
        $lists = array_values(array_replace($all, [$list->key => $list]));
        try {
            $anew = $this->replanning->of(
                $project,
                $project->readyBy,
                $list,
                new Included($lists, $this->answers->of($project) ?? new Facts([], $project->openedAt->format('Y-m-d'))),
                (new Joins($lists))->of($list),
            );
        } catch (WorkInCircle|UnreadableOutline $error) {
            throw new InvalidInput('checklist', $error->getMessage());
        }
        $joined = new Joined();
        $joined->removed = $anew->gone;
        $joined->late = 0 === $anew->shortBy ? '' : (1 === $anew->shortBy ? '1 working day' : "{$anew->shortBy} working days").' short of the day on which it has to be ready';
        $crew = $this->crew->under($project->lead, [$list]);
        foreach ($anew->tasks as $i => $one) {
            $task = $one['task'] ?? $this->make($project, $list, $one, $crew, $joined);
            if (null !== $one['task']) {
                $this->bringUp($one['task'], $list, $one, $i + 1, $joined);
            }
            $task->standAt($i + 1, $one['waitsFor']);
        }

        return $joined;
    }

    /** @param array{key: string, task: Task|null, item: ChecklistItem|null, waitsFor: list<int>, due: \DateTimeImmutable, earliest: string|null} $one */
    private function make(Project $project, Checklist $list, array $one, Crew $crew, Joined $joined): Task
    {
        $item = $one['item'] ?? throw new \LogicException('what joins is of the list');
        $doer = $this->em->find(Staff::class, $crew->of($item->doer, $one['key'])->id) ?? $project->lead;
        $joined->added[] = $task = new Task($project, 0, $this->names->of($item, $project), $doer, $one['due'], [], $list->name);
        $task->briefed(TaskBrief::ofItem($one['key'], $item, $list->version));

        return $task;
    }

    /** @param array{key: string, task: Task|null, item: ChecklistItem|null, waitsFor: list<int>, due: \DateTimeImmutable, earliest: string|null} $one */
    private function bringUp(Task $task, Checklist $list, array $one, int $number, Joined $joined): void
    {
        if (null !== $task->finishedAt) {
            return;
        }
        if ($number !== $task->position || $one['waitsFor'] !== $task->waitsFor) {
            $joined->turned[] = ['task' => $task, 'was' => $task->position, 'number' => $number, 'waitsFor' => $one['waitsFor']];
        }
        if ($task->due->format('Y-m-d') !== $one['due']->format('Y-m-d')) {
            $joined->moved[] = ['task' => $task, 'was' => $task->due, 'due' => $one['due']];
            $task->fallDue($one['due']);
        }
        if (null !== $one['item']) {
            $task->briefed(TaskBrief::ofItem($one['key'], $one['item'], $list->version));
        }
    }
}
