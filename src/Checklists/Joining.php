<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Merged;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Projects\Project;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;
use Telamon\Tasks\AppointmentOfProject;
use Telamon\Tasks\CrewOfBusiness;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskNames;

/** Brings a checklist into a project that is under way: adds what is new, takes out what is gone, dates what is open. Done tasks stay as they are. */
final readonly class Joining
{
    /** Beyond every place: where a new task stands until all are numbered. */
    private const NOWHERE = 1_000_000;

    public function __construct(private EntityManagerInterface $em, private Profile $business, private AnswersOfProject $answers, private AppointmentOfProject $appointments, private CrewOfBusiness $crew, private TaskNames $names)
    {
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
        $tasks = $this->em->getRepository(Task::class)->findBy(['project' => $project], ['position' => 'ASC', 'id' => 'ASC']);
        $there = [];
        foreach ($tasks as $task) {
            '' === $task->item ?: $there[$task->item] = $task;
        }
        $merged = $this->merged($project, $list, $all, array_keys($there));
        $wanted = [];
        foreach ($merged->tasks as $planned) {
            $wanted[$planned->key] = $planned;
        }
        $joined = new Joined();
        $order = $tasks;
        foreach ($tasks as $task) {
            if (str_starts_with($task->item, "{$list->key}/") && !isset($wanted[$task->item]) && null === $task->finishedAt) {
                $joined->removed[] = $task;
                $order = array_values(array_filter($order, static fn (Task $one): bool => $one !== $task));
                unset($there[$task->item]);
            }
        }
        $crew = $this->crew->under($project->lead);
        $before = null;
        foreach ($merged->tasks as $planned) {
            $task = $there[$planned->key] ?? null;
            if (null === $task) {
                $doer = $this->em->find(Staff::class, $crew->of($planned->item->doer, $planned->key)->id) ?? $project->lead;
                $task = new Task($project, self::NOWHERE + \count($order), $this->names->of($planned->item, $project), $doer, $planned->due, [], $planned->checklist->name);
                $joined->added[] = $there[$planned->key] = $task;
                $at = null === $before ? 0 : 1 + (int) array_search($before, $order, true);
                array_splice($order, $at, 0, [$task]);
                $task->briefed(TaskBrief::of($planned));
            } elseif (null === $task->finishedAt) {
                $this->bringUp($task, $planned, $list, $joined);
            }
            $before = $task;
        }
        $this->number($order, $merged, $there, $joined);

        return $joined;
    }

    private function bringUp(Task $task, PlannedTask $planned, Checklist $list, Joined $joined): void
    {
        if ($planned->checklist->key === $list->key) {
            $task->briefed(TaskBrief::of($planned));
        }
        if (!$task->handDated && $task->due->format('Y-m-d') !== $planned->due->format('Y-m-d')) {
            $joined->moved[] = ['task' => $task, 'was' => $task->due, 'due' => $planned->due];
            $task->fallDue($planned->due);
        }
    }

    /**
     * @param list<Task> $order
     * @param array<string, Task> $there by full key of the item
     */
    private function number(array $order, Merged $merged, array $there, Joined $joined): void
    {
        $new = [];
        foreach ($order as $i => $task) {
            $new[$task->position] = $i + 1;
        }
        $waits = [];
        foreach ($merged->tasks as $planned) {
            $waits[$planned->key] = array_map(static fn (int $number): int => $new[$there[$merged->tasks[$number - 1]->key]->position], $planned->waitsFor);
        }
        foreach ($order as $task) {
            $old = array_values(array_filter(array_map(static fn (int $number): ?int => $new[$number] ?? null, $task->waitsFor)));
            $waiting = null === $task->finishedAt && isset($waits[$task->item]) ? array_values(array_unique([...$waits[$task->item]])) : $old;
            sort($waiting);
            $task->standAt($new[$task->position], array_values(array_filter($waiting, static fn (int $number): bool => $number < $new[$task->position])));
        }
        $joined->chain = $merged->verdict();
    }

    /**
     * @param array<string, Checklist> $all
     * @param list<string> $items full keys of those that the project has
     */
    private function merged(Project $project, Checklist $list, array $all, array $items): Merged
    {
        $keys = array_map(static fn (string $item): string => explode('/', $item)[0], $items);
        $lists = [];
        foreach ([$list->key => $list] + $all as $key => $one) {
            if ($key === $list->key || \in_array($key, $keys, true)) {
                $lists[$key] = $one;
            }
        }
        // In the order of those that are kept: the base stays first.
        $lists = array_values(array_replace(array_intersect_key($all, $lists), $lists));
        try {
            return (new ChecklistMerge($this->business->workingDays()))->merge($lists, new Anchors($project->openedAt->setTimezone($this->business->zone()), $project->readyBy, null, $this->appointments->of($project->id)), $this->answers->of($project));
        } catch (WorkInCircle|UnreadableOutline $error) {
            throw new InvalidInput('checklist', $error->getMessage());
        }
    }
}
