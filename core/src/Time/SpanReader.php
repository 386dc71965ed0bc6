<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/**
 * The one reader of days as people write them. A wrong day is worse than none: what is not understood whole is not read,
 * and what may be two days is both.
 */
final class SpanReader
{
    private const LONGEST = 120;

    /**
     * @param string $text “19 Dec”, “12/6”, “in three weeks”, “early May”, “10 to 14 January”, “by Friday”, …
     * @param \DateTimeImmutable $today midnight UTC
     *
     * @return list<DaySpan> none where nothing is read, two where two days are meant or the order is open; in order of time
     */
    public function read(string $text, \DateTimeImmutable $today, DayOrder $order): array
    {
        $text = $this->plain($text);
        if ('' === $text || mb_strlen($text) > self::LONGEST) {
            return [];
        }
        $spans = $this->edges($text, $today, $order) ?? $this->spans($text, $today, $order);
        usort($spans, static fn (DaySpan $one, DaySpan $other): int => [$one->from, $one->to] <=> [$other->from, $other->to]);

        return $spans;
    }

    /** Case, white space and closing marks say nothing. */
    private function plain(string $text): string
    {
        $text = (string) preg_replace('/\s+/u', ' ', mb_strtolower(mb_scrub($text)));

        return trim(str_replace(['’', '–', '—'], ["'", '-', '-'], $text), " \t\n\r\0\x0B.,;:!?");
    }

    /**
     * “by”, “before” and “after” something.
     *
     * @return list<DaySpan>|null null where it is none of them
     */
    private function edges(string $text, \DateTimeImmutable $today, DayOrder $order): ?array
    {
        if (1 !== preg_match('/^(by|before|after) (.+)$/D', $text, $m)) {
            return null;
        }

        return array_map(static fn (DaySpan $one): DaySpan => match ($m[1]) {
            'before' => DaySpan::day($one->from->modify('-1 day')),
            'after' => DaySpan::day($one->to->modify('+1 day')),
            default => $one,
        }, $this->spans($m[2], $today, $order));
    }

    /** @return list<DaySpan> */
    private function spans(string $text, \DateTimeImmutable $today, DayOrder $order): array
    {
        $one = $this->single($text, $today, $order);
        if ([] !== $one) {
            return $one;
        }
        if (
            1 === preg_match('/^between (.+?) and (.+)$/D', $text, $m)
            || 1 === preg_match('/^(?:from )?(.+?)(?: to | until | till | - )(.+)$/D', $text, $m)
            || 1 === preg_match('/^(.*\b\d{1,2}(?:st|nd|rd|th)?)-(\d{1,2}(?:st|nd|rd|th)?\b.*)$/D', $text, $m)
        ) {
            return $this->range($m[1], $m[2], $today, $order);
        }
        if (1 === preg_match('/^(?:either )?(.+?),? or (.+)$/D', $text, $m)) {
            return $this->either($m[1], $m[2], $today, $order);
        }

        return [];
    }

    /** @return list<DaySpan> */
    private function single(string $text, \DateTimeImmutable $today, DayOrder $order): array
    {
        $spoken = (new SpokenSpans($today))->read($text);

        return null !== $spoken ? [$spoken] : array_map(DaySpan::day(...), (new WrittenDays($today, $order))->read($text));
    }

    /** @return list<DaySpan> */
    private function either(string $one, string $other, \DateTimeImmutable $today, DayOrder $order): array
    {
        [$one, $other] = self::withMonth($one, $other);
        $first = $this->single($one, $today, $order);
        $second = $this->single($other, $today, $order);
        if ([] === $first || [] === $second) {
            return [];
        }
        $both = [];
        foreach ([...$first, ...$second] as $span) {
            $both[implode(' ', $span->toArray())] = $span;
        }

        return array_values($both);
    }

    /** @return list<DaySpan> one, or none */
    private function range(string $one, string $other, \DateTimeImmutable $today, DayOrder $order): array
    {
        [$one, $other] = self::withMonth($one, $other);
        $found = [];
        // Both sides are written in one order, whichever that is.
        foreach (DayOrder::Unstated === $order ? [DayOrder::DayFirst, DayOrder::MonthFirst] : [$order] as $way) {
            $span = $this->ranged($one, $other, $today, $way);
            if (null !== $span) {
                $found[implode(' ', $span->toArray())] = $span;
            }
        }

        return array_values($found);
    }

    private function ranged(string $one, string $other, \DateTimeImmutable $today, DayOrder $order): ?DaySpan
    {
        $end = $this->single($other, $today, $order)[0] ?? null;
        if (null === $end) {
            return null;
        }
        $hasYear = 1 === preg_match("/\\b\\d{4}\\b|'\\d{2}$/", $one);
        $start = $this->single($one, $today, $order)[0] ?? null;
        if (null === $start) {
            return null;
        }
        if ($start->from > $end->to && !$hasYear && $this->isDated($one)) {
            // It has begun: its beginning is the last such day before its end.
            $start = $this->single($one, $start->from->modify('-1 year'), $order)[0] ?? null;
            if (null !== $start && $start->from->format('n') === $end->to->format('n')) {
                // “14 to 10 January” is no year, but a slip.
                return $start->from->format('j') <= $end->to->format('j') ? (new DaySpan($start->from, $end->to))->leftOf($today) : null;
            }
        } elseif ($start->from > $end->to && !$hasYear && !$this->isDated($other)) {
            // “friday to monday”: the monday behind that friday.
            $end = $this->single($other, $start->from, $order)[0] ?? null;
        } elseif (!$hasYear && $this->isDated($one)) {
            // “28 December to 3 January 2029”: the last such day before the end.
            for ($later = $start; null !== $later && $later->from <= $end->from; $later = $this->single($one, $later->from->modify('+1 day'), $order)[0] ?? null) {
                $start = $later;
            }
        }
        if (null === $start || null === $end || $start->from > $end->to || $start->from->diff($end->to)->days > 366) {
            return null;
        }
        $whole = new DaySpan($start->from, $end->to);

        return $hasYear ? $whole : $whole->leftOf($today);
    }

    private function isDated(string $text): bool
    {
        return 1 === preg_match('/\d/', $text);
    }

    /**
     * “10” of “10 to 14 January”, and “14” of “January 10 to 14”, have the other's month.
     *
     * @return array{string, string}
     */
    private static function withMonth(string $one, string $other): array
    {
        $bare = '/^(?:the )?(\d{1,2})(?:st|nd|rd|th)?$/D';
        if (1 === preg_match($bare, $one, $day) && 1 === preg_match('/^(?:the )?\d{1,2}(?:st|nd|rd|th)?( (?:of )?'.CalendarWords::MONTH.'.*)$/D', $other, $rest)) {
            return [$day[1].$rest[1], $other];
        }
        if (
            1 === preg_match('/^(?:the )?(\d{1,2})(?:st|nd|rd|th)?(?:,? (\d{4}))?$/D', $other, $day)
            && 1 === preg_match('/^('.CalendarWords::MONTH.') (?:the )?\d{1,2}(?:st|nd|rd|th)?$/D', $one, $month)
        ) {
            $year = isset($day[2]) ? " {$day[2]}" : '';

            return ["$one$year", "{$month[1]} {$day[1]}$year"];
        }

        return [$one, $other];
    }
}
