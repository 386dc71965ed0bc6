<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Tasks by hand: added, edited, moved up and down, and removed. Numbers say the order; what waits for a task keeps waiting for it. */
final readonly class TaskEditing
{
    private const MOST = 1000;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private TaskCounts $counts,
        private TaskDates $dates,
        private DueWords $dues,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal */
    public function add(Project $project, string $id, Edit $edit, Staff $staff): Task
    {
        $name = self::named($edit) ?? throw new InvalidInput('name', 'Say what is to be done.');
        $today = new \DateTimeImmutable($this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $due = $this->dues->read($edit->text('due', 60)) ?? $this->business->workingDays()->add($today, 1);
        $assignee = $this->assignee($edit) ?? $project->lead;

        return $this->changes->carryOut($this->change("added the task $name", $project, $staff), function () use ($project, $id, $edit, $name, $due, $assignee): Task {
            // The same sending may have come twice within one breath.
            $there = $this->em->find(Task::class, $id);
            if (null !== $there) {
                return $there;
            }
            $last = $this->counts->last($project);
            if ($last >= self::MOST) {
                throw new InvalidInput('name', 'A project takes '.self::MOST.' tasks at most.');
            }
            $task = new Task($project, $last + 1, $name, $assignee, $due, [], '', $id);
            $task->standAt($last + 1, $this->waiting($task, $edit) ?? []);
            $this->em->persist($task);

            return $task;
        });
    }

    /** @throws Refusal */
    public function edit(Task $task, Edit $edit, Staff $staff): void
    {
        $version = $edit->version();
        $this->changes->carryOut($this->change("edited task {$task->recordLabel()}", $task->project, $staff)->looking($task, $version), function () use ($task, $edit): void {
            $this->write($task, $edit);
            if (true === $edit->yes('follow')) {
                $this->em->flush();
                foreach ($this->dates->behind($task, false)['moved'] as ['task' => $one, 'due' => $due]) {
                    $one->fallDue($due);
                }
            }
        });
    }

    /**
     * What an edit would move, and what stays though it does not fit. Nothing is kept: what was read is forgotten.
     *
     * @param bool $done whether it is looked at what it would move to finish it now
     *
     * @return array{moved: list<array{number: int, name: string, was: string, due: string}>, stays: list<array{number: int, name: string, due: string, earliest: string}>} as Follows in the contract
     *
     * @throws Refusal
     */
    public function look(Task $task, Edit $edit, bool $done): array
    {
        $was = [];
        foreach ($this->all($task->project) as $one) {
            $was[$one->position] = $one->due->format('Y-m-d');
        }
        $done ? $task->finish($this->clock->now()) : $this->write($task, $edit);
        $told = FollowsView::of($this->dates->behind($task, $done), $was);
        $this->em->clear();

        return $told;
    }

    private function write(Task $task, Edit $edit): void
    {
        $task->become(self::named($edit) ?? $task->name, $this->dues->read($edit->text('due', 60)) ?? $task->due);
        $task->take($edit->whole('takes', 0, 2000) ?? $task->takes, $edit->whole('effort', 0, 100_000) ?? $task->effort);
        $task->giveTo($this->assignee($edit) ?? $task->assignee);
        $waits = $this->waiting($task, $edit);
        if (null !== $waits) {
            $task->waitByHand($waits);
        }
        if (true === $edit->yes('open') && null !== $task->finishedAt) {
            $task->beOpen();
        }
        if (true === $edit->yes('itself')) {
            $task->dateItself();
            $this->follow($task);
        }
        $to = $edit->whole('position', 1, 10_000);
        if (null !== $to) {
            $this->move($task, $to);
        }
    }

    /** @throws Refusal */
    public function remove(Task $task, int $version, Staff $staff): void
    {
        $this->changes->carryOut($this->change("removed task {$task->recordLabel()}", $task->project, $staff)->looking($task, $version), function () use ($task): void {
            $all = $this->all($task->project);
            if ('' !== $task->item && null === $this->em->getRepository(RemovedItem::class)->findOneBy(['project' => $task->project, 'item' => $task->item])) {
                // No later version of its checklist brings it back.
                $this->em->persist(new RemovedItem(
                    $task->project,
                    $task->item,
                    $task->name,
                    array_values(array_map(Replanning::key(...), array_filter($all, static fn (Task $one): bool => \in_array($one->position, $task->waitsFor, true)))),
                ));
            }
            foreach ($all as $other) {
                if (\in_array($task->position, $other->waitsFor, true)) {
                    // What waited for it waits for what it waited for.
                    $other->standAt($other->position, array_values(array_unique([...array_diff($other->waitsFor, [$task->position]), ...$task->waitsFor])));
                }
            }
            $this->em->remove($task);
        });
    }

    private function follow(Task $task): void
    {
        $this->em->flush();
        foreach ($this->dates->moved($task->project, $task->project->readyBy, $task) as ['task' => $one, 'due' => $due]) {
            if ($one === $task) {
                $task->fallDue($due);
            }
        }
    }

    /** To the place of the task that has this number now; those between close up. */
    private function move(Task $task, int $to): void
    {
        $all = $this->all($task->project);
        $places = array_map(static fn (Task $one): int => $one->position, $all);
        $others = array_values(array_filter($all, static fn (Task $one): bool => $one !== $task));
        $at = array_search($to, $places, true);
        array_splice($others, false === $at ? \count($others) : $at, 0, [$task]);
        $new = [];
        foreach ($others as $i => $one) {
            $new[$one->position] = $places[$i];
        }
        foreach ($all as $one) {
            $one->standAt($new[$one->position], array_map(static fn (int $number): int => $new[$number] ?? $number, $one->waitsFor));
        }
        foreach ($all as $one) {
            if ([] !== array_filter($one->waitsFor, static fn (int $number): bool => $number >= $one->position)) {
                throw new InvalidInput('position', "“{$one->name}” waits for a task that would come after it. Change what it waits for first.");
            }
        }
    }

    /** @return list<Task> in their order */
    private function all(Project $project): array
    {
        return $this->em->getRepository(Task::class)->findBy(['project' => $project], ['position' => 'ASC', 'id' => 'ASC']);
    }

    /** @return list<int>|null numbers of the tasks that come first; null where nothing is said of it */
    private function waiting(Task $task, Edit $edit): ?array
    {
        $given = $edit->any('waitsFor');
        if (null === $given) {
            return null;
        }
        $known = array_map(static fn (Task $one): int => $one->position, $this->all($task->project));
        $waits = [];
        foreach (\is_array($given) ? $given : [] as $number) {
            if (!\is_int($number) || $number >= $task->position || !\in_array($number, $known, true)) {
                throw new InvalidInput('waitsFor', 'Choose tasks that come before it.');
            }
            $waits[] = $number;
        }
        sort($waits);

        return array_values(array_unique($waits));
    }

    private function assignee(Edit $edit): ?Staff
    {
        $id = $edit->text('assignee', 36);
        $staff = null === $id ? null : $this->em->find(Staff::class, $id);

        return null === $id || (null !== $staff && $staff->active) ? $staff : throw new InvalidInput('assignee', 'Choose somebody who is here.');
    }

    private static function named(Edit $edit): ?string
    {
        $name = $edit->text('name', 200);

        return '' === $name ? throw new InvalidInput('name', 'Say what is to be done.') : $name;
    }

    private function change(string $words, Project $project, Staff $staff): Act
    {
        return Act::of(ChangeKind::Edit, $words, $staff)->about($project);
    }
}
