<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Merges checklists into one order and dates every item. */
final readonly class OutlineMerge
{
    public function __construct(private Places $places = new Places(), private Sequence $sequence = new Sequence())
    {
    }

    /**
     * @return array{tasks: list<array{key: string, number: int, waits_for: list<string>, earliest_start: int, earliest_finish: int, latest_start: int, float: int, due: string}>, longest_chain: list<string>, short_by: int} days are working days from the start, due an ISO 8601 date
     *
     * @throws WorkInCircle
     * @throws UnreadableOutline for checklists that join into each other, and for days after the year 9999
     */
    public function of(Outline $outline): array
    {
        $order = $this->sequence->of($this->places->of($outline->lists));
        $readyBy = null === $outline->readyBy ? null : $outline->calendar->between($outline->start, $outline->readyBy);
        $path = new CriticalPath($order, $readyBy);
        [$starts, $finishes, $latest] = [$path->earliestStart, $path->earliestFinish, $path->latestFinish];
        $due = null === $readyBy ? $finishes : $latest;
        $days = [];
        $tasks = [];
        foreach ($order as $i => $work) {
            $day = null === $work->due ? $due[$i] : self::due($work->due, $readyBy) ?? $due[$i];
            $tasks[] = [
                'key' => $work->key,
                'number' => $i + 1,
                'waits_for' => array_values($work->waitsFor),
                'earliest_start' => $starts[$i],
                'earliest_finish' => $finishes[$i],
                'latest_start' => $latest[$i] - $work->takes,
                'float' => $latest[$i] - $finishes[$i],
                'due' => $days[$day] ??= self::day($outline, $day, $work->key),
            ];
        }

        return [
            'tasks' => $tasks,
            'longest_chain' => array_map(static fn (int $i): string => $order[$i]->key, $path->longestChain()),
            'short_by' => null === $readyBy ? 0 : max(0, $path->length - $readyBy),
        ];
    }

    private static function due(OwnDue $due, ?int $readyBy): ?int
    {
        return match (true) {
            !$due->fromReadyBy => $due->days,
            null === $readyBy => null,
            default => $readyBy + $due->days,
        };
    }

    private static function day(Outline $outline, int $number, string $key): string
    {
        $day = $outline->calendar->add($outline->start, $number)->format('Y-m-d');

        return 1 === preg_match('/^(?!0000)\d{4}-/', $day) ? $day : throw new UnreadableOutline("$key: its day lies outside the years 1 to 9999.");
    }
}
