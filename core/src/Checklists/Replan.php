<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/**
 * Orders and dates what is on a project in mid-life: what was removed stays away, what people set stays as they set it,
 * and open tasks are dated from today and from what is done (critical path method over the open ones, {@see CriticalPath}).
 */
final readonly class Replan
{
    public function __construct(private Places $places = new Places(), private Sequence $sequence = new Sequence())
    {
    }

    /**
     * @return array{tasks: list<array{key: string, number: int, waits_for: list<string>, state: string, due: string|null, new: bool}>, moved: list<string>, ends: string|null, short_by: int} days ISO 8601; short_by in working days
     *
     * @throws WorkInCircle
     * @throws UnreadableOutline for checklists that join into each other, and for days after the year 9999
     */
    public function of(Standing $standing): array
    {
        $new = [];
        foreach ($standing->outline->lists as $list) {
            foreach (\in_array($list->key, $standing->join, true) ? $list->items : [] as $item) {
                $new[$item->key] = true;
            }
        }
        $arranged = $this->arrange($this->places->of($standing->outline->lists), $new, $standing);

        return ['tasks' => array_map(static function (array $task): array {
            unset($task['earliest']);

            return $task;
        }, $arranged['tasks'])] + $arranged;
    }

    /**
     * @param list<Work> $placed in their places before anything waits
     * @param array<string, true> $new full keys of those that join where the project has no word of them
     * @param \Closure(string, array<string, int>): (\DateTimeImmutable|null)|null $own the day that an item itself says, by its key and the earliest finishes of the open ones in working days from today; null for what its work says
     *
     * @return array{tasks: list<array{key: string, number: int, waits_for: list<string>, state: string, due: string|null, new: bool, earliest: string|null}>, moved: list<string>, ends: string|null, short_by: int} days ISO 8601; short_by in working days; earliest finish of open ones
     *
     * @throws WorkInCircle
     * @throws UnreadableOutline for days after the year 9999
     */
    public function arrange(array $placed, array $new, Standing $standing, ?\Closure $own = null): array
    {
        $outline = $standing->outline;
        $there = [];
        $items = [];
        foreach ($placed as $item) {
            $items[$item->key] = $item;
            $task = $standing->tasks[$item->key] ?? null;
            if (null === $task ? isset($new[$item->key]) : 'removed' !== $task->state) {
                $there[$item->key] = $item;
            }
        }
        $waits = array_map(fn (Work $item): array => $this->waits($item->key, $standing, $items, $there), $there);
        $works = [];
        foreach ($there as $key => $item) {
            $task = $standing->tasks[$key] ?? null;
            $takes = $task->takes ?? $item->takes;
            $works[] = new Work(
                $key,
                $takes,
                'done' === ($task->state ?? 'open') ? [] : array_combine($waits[$key], $waits[$key]),
                $item->due,
                max(0, ($task->notBefore ?? 0) - $takes),
            );
        }
        $order = $this->sequence->of($works);
        $open = self::open($order, $standing);
        $readyBy = null === $outline->readyBy ? null : $outline->calendar->between($standing->today, $outline->readyBy);
        $path = new CriticalPath($open, $readyBy);
        $at = array_flip(array_map(static fn (Work $work): string => $work->key, $open));
        $finishes = array_combine(array_keys($at), $path->earliestFinish);
        $tasks = [];
        $moved = [];
        foreach ($order as $i => $work) {
            $now = $standing->tasks[$work->key] ?? null;
            $ends = isset($at[$work->key]) ? [$path->earliestFinish[$at[$work->key]], $path->latestFinish[$at[$work->key]]] : null;
            $due = $this->due($work, $now, $standing, $ends, null === $own ? self::own($work, $outline) : $own($work->key, $finishes));
            if (null !== $now && $due !== $now->due) {
                $moved[] = $work->key;
            }
            $tasks[] = [
                'key' => $work->key,
                'number' => $i + 1,
                'waits_for' => $waits[$work->key],
                'state' => $now->state ?? 'open',
                'due' => $due,
                'new' => null === $now,
                'earliest' => null === $ends ? null : self::day($outline, $standing->today, $ends[0], $work->key),
            ];
        }

        return [
            'tasks' => $tasks,
            'moved' => $moved,
            'ends' => [] === $open ? null : self::day($outline, $standing->today, $path->length, 'The end'),
            'short_by' => null === $readyBy || [] === $open ? 0 : max(0, $path->length - $readyBy),
        ];
    }

    /**
     * @param array<string, Work> $items all of the checklists
     * @param array<string, Work> $there those on the project
     *
     * @return list<string> full keys: what is waited for, each that is not there replaced by what that one waits for
     */
    private function waits(string $key, Standing $standing, array $items, array $there): array
    {
        $own = $standing->tasks[$key]->waitsFor ?? null;
        if (null !== $own) {
            return array_values(array_filter($own, static fn (string $one): bool => isset($there[$one])));
        }
        $found = [];
        $seen = [];
        // The first named comes out first.
        $left = array_reverse(array_keys($items[$key]->waitsFor));
        while ([] !== $left) {
            $one = array_pop($left);
            if (isset($there[$one])) {
                $found[$one] = $one;
            } elseif (!isset($seen[$one])) {
                $seen[$one] = true;
                array_push($left, ...array_reverse($standing->tasks[$one]->waitsFor ?? array_keys($items[$one]->waitsFor)));
            }
        }

        return array_values($found);
    }

    /**
     * @param list<Work> $order
     *
     * @return list<Work> those still to be done, each waiting only for others of them
     */
    private static function open(array $order, Standing $standing): array
    {
        $open = [];
        foreach ($order as $work) {
            if ('done' !== ($standing->tasks[$work->key]->state ?? 'open')) {
                $open[$work->key] = new Work($work->key, $work->takes, array_filter($work->waitsFor, static fn (string $one): bool => isset($open[$one])), $work->due, $work->from);
            }
        }

        return array_values($open);
    }

    /** @param array{int, int}|null $ends earliest and latest finish, in working days from today; null for what is done */
    private function due(Work $work, ?StandingTask $now, Standing $standing, ?array $ends, ?\DateTimeImmutable $own): ?string
    {
        if (null !== $now && (null === $ends || $now->dueByHand || (null !== $now->due && $now->due < $standing->today->format('Y-m-d')))) {
            return $now->due;
        }
        [$earliest, $latest] = $ends ?? [0, 0];
        $outline = $standing->outline;
        if (null !== $own) {
            return max(self::day($outline, $own, 0, $work->key, roll: false), self::day($outline, $standing->today, $earliest, $work->key));
        }

        return self::day($outline, $standing->today, null === $outline->readyBy ? $earliest : $latest, $work->key);
    }

    private static function own(Work $work, Outline $outline): ?\DateTimeImmutable
    {
        $readyBy = null === $outline->readyBy ? null : $outline->calendar->between($outline->start, $outline->readyBy);

        return match (true) {
            null === $work->due => null,
            !$work->due->fromReadyBy => $outline->calendar->add($outline->start, $work->due->days),
            null === $readyBy => null,
            default => $outline->calendar->add($outline->start, $readyBy + $work->due->days),
        };
    }

    /** @param bool $roll whether it is counted in working days; a day that is one already stays */
    private static function day(Outline $outline, \DateTimeImmutable $from, int $number, string $key, bool $roll = true): string
    {
        $day = ($roll ? $outline->calendar->add($from, $number) : $from)->format('Y-m-d');

        return 1 === preg_match('/^(?!0000)\d{4}-/', $day) ? $day : throw new UnreadableOutline("$key: its day lies outside the years 1 to 9999.");
    }
}
