<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\CountedDue;
use Telamon\Core\Checklists\Due;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Core\Checklists\DueUnit;
use Telamon\Core\Checklists\Included;
use Telamon\Core\Checklists\Interleave;
use Telamon\Core\Checklists\Outline;
use Telamon\Core\Checklists\Replan;
use Telamon\Core\Checklists\Standing;
use Telamon\Core\Checklists\StandingTask;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\Work;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Projects\Project;

/**
 * Orders and dates the tasks of a project that is under way, as {@see Replan} computes it. What a checklist says counts
 * for the one that joins or is taken over; all others are as the project has them, with what people removed and set.
 */
final readonly class Replanning
{
    public function __construct(
        private EntityManagerInterface $em,
        private Profile $business,
        private AppointmentOfProject $appointments,
        private ClockInterface $clock,
        private Replan $replan = new Replan(),
    ) {
    }

    /**
     * Nothing is written.
     *
     * @param Checklist|null $list that joins, or whose version is taken over
     * @param Included|null $included which of its items are asked for
     * @param string|null $after full key of the item that it joins behind
     * @param Task|null $anew whose day is worked out though somebody has set it, or it is over
     *
     * @throws WorkInCircle
     * @throws UnreadableOutline
     */
    public function of(Project $project, ?\DateTimeImmutable $readyBy, ?Checklist $list = null, ?Included $included = null, ?string $after = null, ?Task $anew = null): Replanned
    {
        $now = $this->clock->now()->setTimezone($this->business->zone());
        $calendar = $this->business->workingDays();
        $today = Anchors::day($now);
        $tasks = $this->em->getRepository(Task::class)->findBy(['project' => $project], ['position' => 'ASC', 'id' => 'ASC']);
        $wanted = [];
        foreach ($list->items ?? [] as $item) {
            $key = "{$list?->key}/{$item->key}";
            if (null === $included || $included->has($key)) {
                $wanted[$key] = $item;
            }
        }
        $gone = null === $list
            ? []
            : array_values(array_filter(
                $tasks,
                static fn (Task $task): bool => str_starts_with($task->item, "{$list->key}/") && !isset($wanted[$task->item]) && null === $task->finishedAt,
            ));
        $keys = self::keys($tasks, $gone);
        $byKey = [];
        $standing = [];
        foreach (array_values(array_filter($tasks, static fn (Task $task): bool => !\in_array($task, $gone, true))) as $task) {
            $byKey[$key = self::key($task)] = $task;
            $isAsked = isset($wanted[$task->item]);
            $byHand = ($task->handDated || !$task->followsList()) && $task !== $anew;
            $day = $task->due->format('Y-m-d');
            $standing[$key] = new StandingTask(
                $key,
                null === $task->finishedAt ? 'open' : 'done',
                $task === $anew ? null : $day,
                $byHand,
                $isAsked && !$task->handWaits ? null : $keys($task),
                $isAsked && !$task->handTakes ? null : $task->takes,
                $byHand && null === $task->finishedAt && $day > $today->format('Y-m-d') ? $calendar->between($today, $task->due) : 0,
            );
        }
        foreach ($this->em->getRepository(RemovedItem::class)->findBy(['project' => $project]) as $one) {
            $standing[$one->item] ??= new StandingTask($one->item, 'removed', null, false, isset($wanted[$one->item]) ? null : $one->waitsFor, null);
        }
        $places = Interleave::of(
            array_values(array_filter(array_map(strval(...), array_keys($standing)), static fn (string $key): bool => isset($byKey[$key]))),
            array_map(strval(...), array_keys($wanted)),
            $after,
        );
        $isPlaced = array_fill_keys([...$places, ...array_map(strval(...), array_keys($standing))], true);
        $placed = [];
        foreach (array_keys($isPlaced) as $key) {
            $item = $wanted[$key] ?? null;
            $waits = null === $item ? ($standing[$key]->waitsFor ?? []) : array_values($included?->waits($key) ?? []);
            $waits = array_values(array_filter($waits, static fn (string $one): bool => isset($isPlaced[$one])));
            $placed[] = new Work($key, $item->takes ?? $standing[$key]->takes ?? 0, array_combine($waits, $waits), null);
        }
        // What was set by hand names only what is there.
        foreach ($standing as $key => $one) {
            if (null !== $one->waitsFor) {
                $standing[$key] = new StandingTask(
                    $one->key,
                    $one->state,
                    $one->due,
                    $one->dueByHand,
                    array_values(array_filter($one->waitsFor, static fn (string $wait): bool => isset($isPlaced[$wait]))),
                    $one->takes,
                    $one->notBefore,
                );
            }
        }
        $own = fn (string $key, array $finishes): ?\DateTimeImmutable => $this->own($key, $wanted[$key] ?? null, $byKey, $finishes, $project, $readyBy, $today);
        $arranged = $this->replan->arrange(
            $placed,
            array_fill_keys(array_map(strval(...), array_keys($wanted)), true),
            new Standing(new Outline(Anchors::day($project->openedAt->setTimezone($this->business->zone())), $readyBy, $calendar, []), $today, [], $standing),
            $own,
        );
        $numbers = array_column($arranged['tasks'], 'number', 'key');

        return new Replanned(array_map(static function (array $one) use ($byKey, $wanted, $numbers): array {
            $waits = array_map(static fn (string $key): int => $numbers[$key], $one['waits_for']);
            sort($waits);

            return [
                'key' => $one['key'],
                'task' => $byKey[$one['key']] ?? null,
                'item' => $wanted[$one['key']] ?? null,
                'waitsFor' => $waits,
                'due' => new \DateTimeImmutable((string) $one['due'], new \DateTimeZone('UTC')),
                'earliest' => $one['earliest'],
            ];
        }, $arranged['tasks']), $gone, null === $arranged['ends'] ? null : new \DateTimeImmutable($arranged['ends'], new \DateTimeZone('UTC')), $arranged['short_by']);
    }

    public static function key(Task $task): string
    {
        return '' === $task->item ? "-/{$task->id}" : $task->item;
    }

    /**
     * The day that an item says itself.
     *
     * @param array<string, Task> $byKey
     * @param array<string, int> $finishes of open ones, in working days from today
     */
    private function own(
        string $key,
        ?ChecklistItem $item,
        array $byKey,
        array $finishes,
        Project $project,
        ?\DateTimeImmutable $readyBy,
        \DateTimeImmutable $today,
    ): ?\DateTimeImmutable {
        $due = null !== $item ? $item->due : (isset($byKey[$key]) ? self::said($byKey[$key]) : null);
        $accepted = $project->openedAt->setTimezone($this->business->zone());
        $calendar = $this->business->workingDays();
        $finished = function (Due $due) use ($key, $byKey, $finishes, $today, $calendar): ?\DateTimeImmutable {
            $meant = str_contains($due->item, '/') ? $due->item : explode('/', $key)[0]."/{$due->item}";
            $done = $byKey[$meant]->finishedAt ?? null;

            return match (true) {
                null !== $done => Anchors::day($done->setTimezone($this->business->zone())),
                isset($finishes[$meant]) => $calendar->add($today, $finishes[$meant]),
                default => null,
            };
        };
        $from = null === $due ? null : match ($due->from) {
            DueFrom::Accepted => $accepted,
            DueFrom::Start => Anchors::day($accepted),
            DueFrom::ReadyBy => $readyBy,
            DueFrom::Appointment => $this->appointments->of($project->id),
            DueFrom::Item => $finished($due),
        };

        return null === $due || null === $from ? null : CountedDue::day($calendar, $from, $due);
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

    /**
     * @param list<Task> $tasks
     * @param list<Task> $gone
     *
     * @return \Closure(Task): list<string> full keys of what a task waits for now, each that goes replaced by what that waits for
     */
    private static function keys(array $tasks, array $gone): \Closure
    {
        $byNumber = [];
        foreach ($tasks as $task) {
            $byNumber[$task->position] = $task;
        }

        return static function (Task $task) use ($byNumber, $gone): array {
            $keys = [];
            $seen = [];
            $left = array_reverse($task->waitsFor);
            while ([] !== $left) {
                $number = array_pop($left);
                $one = $byNumber[$number] ?? null;
                if (null === $one || isset($seen[$number])) {
                    continue;
                }
                $seen[$number] = true;
                if (\in_array($one, $gone, true)) {
                    array_push($left, ...array_reverse($one->waitsFor));
                } else {
                    $keys[] = self::key($one);
                }
            }

            return $keys;
        };
    }
}
