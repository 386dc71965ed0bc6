<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** Says why a time is not free for somebody: what a coordinator asks who misses one. */
final readonly class WhyNot
{
    private const MINUTE = 60 * LocalClock::SECOND;

    private LocalClock $clock;

    public function __construct(private SlotRequest $request)
    {
        $this->clock = SlotFinder::clock($request);
    }

    /**
     * @param int $start instant
     *
     * @return string|null the first thing that stands against it; null where it is free
     */
    public function of(SlotPerson $person, int $start): ?string
    {
        return $this->day($start) ?? $this->hours($person, $start) ?? $this->others($person, $start);
    }

    /** What holds for everybody: the day, the clock, how soon and how far. */
    private function day(int $start): ?string
    {
        $type = $this->request->type;
        $day = $this->clock->day($start);
        $today = $this->clock->day($this->request->now);

        return match (true) {
            $day < $this->request->from || $day > $this->request->to => 'outside the days that are asked for',
            isset($this->request->closures[$day]) => 'the business is closed that day',
            $start < $this->request->now + $type->notice * self::MINUTE => 0 === $type->notice
                ? 'it is over'
                : 'sooner than '.(0 === $type->notice % 60 ? intdiv($type->notice, 60).' h' : "{$type->notice} minutes").' from now',
            null !== $type->furthestDays && $day > $today + $type->furthestDays => "more than {$type->furthestDays} days ahead",
            !$this->isStep($day, $start) => "no start: the clock reads no multiple of {$type->step} minutes, or reads it a second time",
            default => null,
        };
    }

    private function isStep(int $day, int $start): bool
    {
        for ($minute = 0; $minute < 1440; $minute += $this->request->type->step) {
            if ($this->clock->showing($day, 60 * $minute) === $start) {
                return true;
            }
        }

        return false;
    }

    private function hours(SlotPerson $person, int $start): ?string
    {
        $day = $this->clock->day($start);
        $end = $start + $this->request->type->length * self::MINUTE;
        $open = $this->clock->open($person, $day);
        if (!self::holds($open, $start, $end)) {
            return [] === $open ? 'does not work that day' : 'outside their hours';
        }
        foreach ($person->absent as [$first, $last]) {
            if ($this->clock->from(...$first) < $end && $start < $this->clock->from(...$last)) {
                return 'away';
            }
        }

        return null;
    }

    private function others(SlotPerson $person, int $start): ?string
    {
        $type = $this->request->type;
        $end = $start + $type->length * self::MINUTE;
        foreach ($person->busy as [$from, $to]) {
            if ($from < $end + $type->clearAfter * self::MINUTE && $start - $type->clearBefore * self::MINUTE < $to) {
                return "busy at {$this->clock->format($from)}, or what is kept clear runs into that";
            }
        }
        $same = array_filter($person->appointments, static fn (Held $held): bool => $held->start === $start && $held->end === $end);
        $isShared = [] !== $same && array_sum(array_map(static fn (Held $held): int => $held->taken, $same)) < $type->seats;
        $others = $isShared ? array_diff_key($person->appointments, $same) : $person->appointments;
        foreach ($others as $held) {
            if ($type->seats > 1 && $held->start === $start && $held->end === $end) {
                return "full: all {$type->seats} seats are taken";
            }
            $before = $held->start - (max($type->clearAfter, $held->clearBefore) + $held->roadFrom) * self::MINUTE;
            $after = $held->end + (max($held->clearAfter, $type->clearBefore) + $held->roadTo) * self::MINUTE;
            if ($after > $start && $before < $end) {
                return "an appointment at {$this->clock->format($held->start)}, or what is kept clear of it".(0 < $held->roadTo + $held->roadFrom ? ', or the road' : '');
            }
        }
        $begun = \count(array_filter($others, fn (Held $held): bool => $this->clock->day($held->start) === $this->clock->day($start)));

        return null !== $type->dayLimit && $begun >= $type->dayLimit ? "has {$type->dayLimit} that day already" : null;
    }

    /** @param list<array{int, int}> $open in order */
    private static function holds(array $open, int $start, int $end): bool
    {
        foreach ($open as [$from, $to]) {
            if ($from <= $start && $end <= $to) {
                return true;
            }
        }

        return false;
    }
}
