<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Slots;

/**
 * Free times found the plain way, from the same JSON and with nothing of the code that is tested: every minute that
 * passes is looked at, and every minute of an appointment is asked whether it may be.
 *
 * @phpstan-type Span array{string, string}
 * @phpstan-type Held array{start: string, end: string, clear_before: int, clear_after: int, taken: int}
 * @phpstan-type Person array{id: string, hours: array<int, list<Span>>, dates: array<string, list<Span>>, absent: list<Span>, busy: list<Span>, appointments: list<Held>}
 * @phpstan-type Calendar array{zone: string, now: string, from: string, to: string, type: array{length: int, clear_before: int, clear_after: int, step: int, notice_minutes: int, furthest_days: int, day_limit: int|null, seats: int}, closures: list<string>, staff: list<Person>}
 */
final class MinuteByMinute
{
    /** @var array<string, list<array{int, int}>> by day: the minutes that pass, since 1970, and what the clock shows, in minutes of the day */
    private array $days = [];

    /** @var array<string, int> what was found already, by day and time */
    private array $shown = [];

    /** @var array<string, bool> whether a minute is open for somebody, as found already */
    private array $open = [];

    /** @param Calendar $calendar */
    private function __construct(private readonly array $calendar, private readonly \DateTimeZone $zone)
    {
    }

    /**
     * @param Calendar $calendar
     *
     * @return list<array{start: string, staff: list<string>}>
     */
    public static function slots(array $calendar): array
    {
        return (new self($calendar, new \DateTimeZone($calendar['zone'])))->find();
    }

    /** @return list<array{start: string, staff: list<string>}> */
    private function find(): array
    {
        ['now' => $now, 'from' => $from, 'to' => $to, 'type' => $type] = $this->calendar;
        $today = (new \DateTimeImmutable($now))->setTimezone($this->zone)->format('Y-m-d');
        $slots = [];
        for ($day = $from; $day <= $to; $day = self::after($day, 1)) {
            if ($day > self::after($today, $type['furthest_days']) || \in_array($day, $this->calendar['closures'], true)) {
                continue;
            }
            $shown = [];
            foreach ($this->minutes($day) as [$minute, $clock]) {
                $isFirst = !isset($shown[$clock]);
                $shown[$clock] = true;
                if (!$isFirst || 0 !== $clock % $type['step'] || $minute < self::minute($now) + $type['notice_minutes']) {
                    continue;
                }
                $staff = [];
                foreach ($this->calendar['staff'] as $person) {
                    if ($this->may($person, $day, $minute)) {
                        $staff[] = $person['id'];
                    }
                }
                sort($staff, \SORT_STRING);
                if ([] !== $staff) {
                    $slots[] = ['start' => (new \DateTimeImmutable('@'.(60 * $minute)))->setTimezone($this->zone)->format(\DATE_RFC3339), 'staff' => $staff];
                }
            }
        }

        return $slots;
    }

    /** @param Person $person */
    private function may(array $person, string $day, int $start): bool
    {
        $type = $this->calendar['type'];
        $end = $start + $type['length'];
        for ($minute = $start; $minute < $end; ++$minute) {
            if (!($this->open["{$person['id']} $day $minute"] ??= $this->isOpen($person, $day, $minute))) {
                return false;
            }
        }
        foreach ($person['busy'] as [$from, $to]) {
            [$first, $last] = [self::minute($from), self::minute($to)];
            for ($minute = $start - $type['clear_before']; $minute < $end + $type['clear_after']; ++$minute) {
                if ($first <= $minute && $minute < $last) {
                    return false;
                }
            }
        }
        $same = array_filter($person['appointments'], static fn (array $one): bool => self::minute($one['start']) === $start && self::minute($one['end']) === $end);
        $isShared = [] !== $same && array_sum(array_column($same, 'taken')) < $type['seats'];
        $begun = 0;
        foreach ($person['appointments'] as $i => $one) {
            if ($isShared && isset($same[$i])) {
                continue;
            }
            [$from, $to] = [self::minute($one['start']), self::minute($one['end'])];
            $begun += (new \DateTimeImmutable($one['start']))->setTimezone($this->zone)->format('Y-m-d') === $day ? 1 : 0;
            $fits = $to <= $start
                ? $start - $to >= max($one['clear_after'], $type['clear_before'])
                : $from >= $end && $from - $end >= max($type['clear_after'], $one['clear_before']);
            if (!$fits) {
                return false;
            }
        }

        return null === $type['day_limit'] || $begun < $type['day_limit'];
    }

    /** @param Person $person */
    private function isOpen(array $person, string $day, int $minute): bool
    {
        $weekday = (int) (new \DateTimeImmutable($day))->format('N');
        $isOpen = false;
        foreach ($person['dates'][$day] ?? $person['hours'][$weekday] ?? [] as [$from, $to]) {
            $isOpen = $isOpen || ($this->shows($day, $from) <= $minute && $minute < $this->shows($day, $to));
        }
        foreach ($person['absent'] as [$from, $to]) {
            [$firstDay, $firstTime] = explode('T', $from);
            [$lastDay, $lastTime] = explode('T', $to);
            if ($this->shows($firstDay, $firstTime) <= $minute && $minute < $this->shows($lastDay, $lastTime)) {
                return false;
            }
        }

        return $isOpen;
    }

    /** The first minute of a day at which the clock shows a time or a later one; the one behind its last where none does. */
    private function shows(string $day, string $time): int
    {
        return $this->shown["$day $time"] ??= $this->firstShowing($day, $time);
    }

    private function firstShowing(string $day, string $time): int
    {
        [$hour, $minute] = array_map(intval(...), explode(':', $time));
        $last = 0;
        foreach ($this->minutes($day) as [$passing, $clock]) {
            if ($clock >= 60 * $hour + $minute) {
                return $passing;
            }
            $last = $passing;
        }

        return $last + 1;
    }

    /** @return list<array{int, int}> */
    private function minutes(string $day): array
    {
        if (!isset($this->days[$day])) {
            $this->days[$day] = [];
            $noon = self::minute("{$day}T12:00:00Z");
            for ($minute = $noon - 2200; $minute < $noon + 2200; ++$minute) {
                $local = 60 * $minute + $this->zone->getOffset(new \DateTimeImmutable('@'.(60 * $minute)));
                if (gmdate('Y-m-d', $local) === $day) {
                    $this->days[$day][] = [$minute, intdiv($local % 86_400, 60)];
                }
            }
        }

        return $this->days[$day];
    }

    private static function minute(string $moment): int
    {
        static $known = [];

        return $known[$moment] ??= intdiv((new \DateTimeImmutable($moment))->getTimestamp(), 60);
    }

    private static function after(string $day, int $days): string
    {
        return (new \DateTimeImmutable("$day 00:00:00 UTC"))->modify("+$days days")->format('Y-m-d');
    }
}
