<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** Hours and absences of somebody who works by the clock of another place, as the clock of the business shows them. */
final readonly class ByTheirClock
{
    private const DAY = 86_400;

    private LocalClock $theirs;
    private LocalClock $ours;

    /** @param int $from, $to local days of the business that are asked for */
    public function __construct(\DateTimeZone $theirs, \DateTimeZone $ours, private int $from, private int $to)
    {
        // A day here may touch the days before and after it there.
        $this->theirs = new LocalClock($theirs, $from - 2, $to + 2);
        $this->ours = new LocalClock($ours, $from - 2, $to + 2);
    }

    /**
     * @param SlotPerson $person hours and dates by their own clock
     *
     * @return array<int, list<array{int, int}>> seconds from and to by local day here, for every day that is asked for
     */
    public function dates(SlotPerson $person): array
    {
        $dates = array_fill_keys(range($this->from, $this->to), []);
        for ($day = $this->from - 2; $day <= $this->to + 2; ++$day) {
            foreach ($this->theirs->open($person, $day) as [$begin, $end]) {
                [$first, $at] = $this->ours->reading($begin);
                [$last, $until] = $this->ours->reading($end);
                for ($here = $first; $here <= $last; ++$here) {
                    $span = [$here === $first ? $at : 0, $here === $last ? $until : self::DAY];
                    if (isset($dates[$here]) && $span[0] < $span[1]) {
                        $dates[$here][] = $span;
                    }
                }
            }
        }
        foreach ($dates as &$spans) {
            sort($spans);
        }

        return $dates;
    }

    /**
     * @param array{array{int, int}, array{int, int}} $absence local day and seconds of it there, from and to
     *
     * @return array{array{int, int}, array{int, int}} the same here
     */
    public function absence(array $absence): array
    {
        return [$this->ours->reading($this->theirs->from(...$absence[0])), $this->ours->reading($this->theirs->from(...$absence[1]))];
    }
}
