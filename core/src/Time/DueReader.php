<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Reads by when something is due, as people write it to themselves: always a day from today on, but for one that is written in full. */
final readonly class DueReader
{
    private const WEEKDAYS = ['mon' => 1, 'tue' => 2, 'wed' => 3, 'thu' => 4, 'fri' => 5, 'sat' => 6, 'sun' => 7];
    private const NUMBERS = ['a' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10];

    public function __construct(private WorkingDays $calendar, private DayReader $days = new DayReader(), private SpanReader $spans = new SpanReader())
    {
    }

    /**
     * @param string $text “today”, “tomorrow”, “Tue”, “next Tue” (the one after the coming one within this week), “in 3
     *                     working days”, “in 2 weeks”, “14/1”, “14 January”, or a whole day
     *
     * @return list<\DateTimeImmutable> none where it is no day, two where the order of day and month is not known
     */
    public function read(string $text, \DateTimeImmutable $today, DayOrder $order): array
    {
        $text = strtolower(trim((string) preg_replace('/\s+/', ' ', $text)));
        $found = match (true) {
            'today' === $text => $today,
            'tomorrow' === $text => $today->modify('+1 day'),
            'next working day' === $text => $this->calendar->add($today->modify('+1 day'), 0),
            default => $this->weekday($text, $today) ?? $this->counted($text, $today),
        };

        if (null !== $found) {
            return [$found];
        }
        $written = $this->written($text, $today, $order);

        return [] !== $written ? $written : $this->spoken($text, $today, $order);
    }

    /** “Tue” is the coming one, tomorrow at the soonest; “next Tue” is that of the week after this one. */
    private function weekday(string $text, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        if (1 !== preg_match('/^(next |this |on )?(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?$/D', $text, $part)) {
            return null;
        }
        $at = (int) $today->format('N');
        $day = self::WEEKDAYS[$part[2]];

        return 'next ' === $part[1] ? $today->modify(\sprintf('%+d days', 7 - $at + $day)) : $today->modify(\sprintf('+%d days', ($day - $at + 6) % 7 + 1));
    }

    private function counted(string $text, \DateTimeImmutable $today): ?\DateTimeImmutable
    {
        if (1 !== preg_match('/^(?:in )?(\d{1,3}|[a-z]+) (working days?|days?|weeks?|months?)$/D', $text, $part)) {
            return null;
        }
        $n = ctype_digit($part[1]) ? (int) $part[1] : self::NUMBERS[$part[1]] ?? null;

        return match (true) {
            null === $n => null,
            str_starts_with($part[2], 'working') => $this->calendar->add($today, $n),
            str_starts_with($part[2], 'week') => self::later($today, 7 * $n),
            str_starts_with($part[2], 'month') => self::months($today, $n),
            default => self::later($today, $n),
        };
    }

    private static function later(\DateTimeImmutable $today, int $days): \DateTimeImmutable
    {
        return $today->modify(\sprintf('+%d days', $days));
    }

    /** The same day of the month; the last one where that month is shorter. */
    private static function months(\DateTimeImmutable $today, int $n): \DateTimeImmutable
    {
        $first = $today->modify('first day of this month')->modify("+$n months");

        return $first->modify('+'.(min((int) $today->format('j'), (int) $first->format('t')) - 1).' days');
    }

    /** @return list<\DateTimeImmutable> */
    private function written(string $text, \DateTimeImmutable $today, DayOrder $order): array
    {
        $whole = $this->days->read($text, $order);
        if ([] !== $whole) {
            return $whole;
        }
        // Without a year it is the next such day.
        $found = [];
        foreach ([(int) $today->format('Y'), (int) $today->format('Y') + 1] as $year) {
            $between = 1 === preg_match('#^\d{1,2}([/.\-])\d{1,2}\.?$#D', $text, $part) ? $part[1] : ' ';
            foreach ($this->days->read(rtrim($text, '.').$between.$year, $order) as $day) {
                $key = substr($day->format('Y-m-d'), 5);
                if (!isset($found[$key]) && $day->format('Y-m-d') >= $today->format('Y-m-d')) {
                    $found[$key] = $day;
                }
            }
        }
        sort($found);

        return $found;
    }

    /**
     * Everything else that means one day, as it is read everywhere.
     *
     * @return list<\DateTimeImmutable>
     */
    private function spoken(string $text, \DateTimeImmutable $today, DayOrder $order): array
    {
        $days = [];
        foreach ($this->spans->read($text, $today, $order) as $span) {
            if ($span->isOneDay() && $span->from->format('Y-m-d') >= $today->format('Y-m-d')) {
                $days[] = $span->from;
            }
        }

        return $days;
    }
}
