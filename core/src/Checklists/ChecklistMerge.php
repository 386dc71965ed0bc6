<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Time\WorkingDays;

/** Joins checklists into one order and dates every task: places first, then waits, then days. */
final readonly class ChecklistMerge
{
    public function __construct(private WorkingDays $calendar, private Places $places = new Places(), private Sequence $sequence = new Sequence())
    {
    }

    /**
     * A checklist that is named twice joins once. What waits for an item that is left out waits for what that waits for;
     * what waits for or joins one that is not there waits for nothing, or joins at the end.
     *
     * @param list<Checklist> $lists the base first
     *
     * @throws WorkInCircle with the full keys
     * @throws UnreadableOutline for checklists that join into each other
     */
    public function merge(array $lists, Anchors $anchors, ?Facts $facts = null): Merged
    {
        $lists = array_values(array_combine(array_map(static fn (Checklist $list): string => $list->key, $lists), $lists));
        $included = new Included($lists, $facts ?? new Facts([], $anchors->start->format('Y-m-d')));
        $joins = new Joins($lists);
        $placed = $this->places->of(array_map(static fn (Checklist $list): WorkList => self::work($list, $joins->of($list), $included), $lists));
        $order = $this->sequence->of(array_values(array_filter($placed, static fn (Work $work): bool => $included->has($work->key))));
        $room = null === $anchors->readyBy ? null : $this->calendar->between($anchors->start, $anchors->readyBy);
        $path = new CriticalPath($order, $room);
        $at = array_flip(array_map(static fn (Work $work): string => $work->key, $order));
        $chain = array_fill_keys($path->longestChain(), true);
        $days = new DueDays($this->calendar, $anchors, $included, $at, $path);
        $tasks = [];
        foreach ($order as $i => $work) {
            $waits = array_map(static fn (string $key): int => $at[$key] + 1, array_values($work->waitsFor));
            sort($waits);
            ['item' => $item, 'checklist' => $checklist] = $included->all[$work->key];
            $tasks[] = new PlannedTask(
                $i + 1, $work->key, $item, $checklist,
                $days->of($item, $checklist) ?? $this->calendar->add($anchors->start, null === $room ? $path->earliestFinish[$i] : $path->latestFinish[$i]),
                $waits, $path->earliestStart[$i], $path->earliestFinish[$i], $path->latestFinish[$i] - $work->takes,
                $path->latestFinish[$i] - $path->earliestFinish[$i], $this->calendar->add($anchors->start, $path->earliestStart[$i]), isset($chain[$i]),
            );
        }

        return new Merged(
            $tasks,
            $path->length,
            null === $room ? 0 : max(0, $path->length - $room),
            $room,
            $this->calendar->add($anchors->start, $path->length),
            $included->leftOut(),
        );
    }

    private static function work(Checklist $list, ?string $joins, Included $included): WorkList
    {
        return new WorkList($list->key, $joins, array_map(static function (ChecklistItem $item) use ($list, $included): Work {
            $key = $list->fullKey($item);

            return new Work($key, $item->takes, $included->has($key) ? $included->waits($key) : [], null);
        }, $list->items));
    }
}
