<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Days and spans as people say them from today: tomorrow, next Friday, in two weeks, early May, this weekend. */
final readonly class SpokenSpans
{
    private const PARTS = [
        'beginning of' => [1, 10],
        'start of' => [1, 10],
        'early' => [1, 10],
        'middle of' => [11, 20],
        'mid' => [11, 20],
        'end of' => [21, 31],
        'late' => [21, 31],
        'first week of' => [1, 7],
        'second week of' => [8, 14],
        'third week of' => [15, 21],
        'fourth week of' => [22, 28],
        'last week of' => [-6, 31],
    ];

    public function __construct(private \DateTimeImmutable $today)
    {
    }

    /** @param string $text in small letters, without marks at its end */
    public function read(string $text): ?DaySpan
    {
        return $this->near($text) ?? $this->weekday($text) ?? $this->counted($text) ?? $this->week($text) ?? $this->month($text) ?? $this->part($text);
    }

    private function near(string $text): ?DaySpan
    {
        return match ($text) {
            'today' => $this->plus(0),
            'tomorrow' => $this->plus(1),
            'day after tomorrow', 'the day after tomorrow' => $this->plus(2),
            'yesterday' => $this->plus(-1),
            default => null,
        };
    }

    private function weekday(string $text): ?DaySpan
    {
        if (1 === preg_match('/^(?:(on|this|next) )?('.CalendarWords::WEEKDAY.')$/D', $text, $m)) {
            $day = CalendarWords::weekday($m[2]);

            return 'next' === $m[1] ? $this->plus(7 - $this->at() + $day) : $this->plus($this->until($day));
        }
        if (1 === preg_match('/^(?:(?:on )?('.CalendarWords::WEEKDAY.') week|a week on ('.CalendarWords::WEEKDAY.'))$/D', $text, $m)) {
            return $this->plus(7 + $this->until(CalendarWords::weekday($m[2] ?? $m[1])));
        }

        return null;
    }

    private function counted(string $text): ?DaySpan
    {
        $unit = '(day|week|fortnight|month|year)s?';
        if (
            1 !== preg_match('/^in ('.CalendarWords::NUMBER.") $unit(?:'? time)?$/D", $text, $m)
            && 1 !== preg_match('/^('.CalendarWords::NUMBER.") $unit from now$/D", $text, $m)
        ) {
            return null;
        }
        $n = CalendarWords::number($m[1]);

        return match ($m[2]) {
            'day' => $this->plus($n),
            'week' => $this->plus(7 * $n),
            'fortnight' => $this->plus(14 * $n),
            'month' => $this->months($n),
            default => $this->months(12 * $n),
        };
    }

    private function week(string $text): ?DaySpan
    {
        $monday = 1 - $this->at();

        return match ($text) {
            'this week' => $this->days($monday, $monday + 6)->leftOf($this->today),
            'next week' => $this->days($monday + 7, $monday + 13),
            'week after next', 'the week after next' => $this->days($monday + 14, $monday + 20),
            'this weekend', 'at the weekend', 'on the weekend' => $this->days($monday + 5, $monday + 6)->leftOf($this->today),
            default => null,
        };
    }

    private function month(string $text): ?DaySpan
    {
        [$year, $month] = $this->thisMonth();
        if ('next year' === $text) {
            return new DaySpan(DaySpan::between($year + 1, 1, 1, 1)->from, DaySpan::between($year + 1, 12, 31, 31)->to);
        }
        if ('this month' === $text || 'next month' === $text) {
            return $this->of('this month' === $text ? [$year, $month] : self::after($year, $month), 1, 31)->leftOf($this->today);
        }
        if (1 !== preg_match('/^(?:in )?('.CalendarWords::MONTH.')(?:,? (\d{4}))?$/D', $text, $m)) {
            return null;
        }

        return $this->inMonth(CalendarWords::month($m[1]), $m[2] ?? '', 1, 31);
    }

    private function part(string $text): ?DaySpan
    {
        $text = (string) preg_replace(['/^(?:in|at|during) /', '/^the /', '/^(early|mid|late)-/'], ['', '', '$1 '], $text);
        if (1 !== preg_match('/^(early|mid|late|(?:beginning|start|middle|end|(?:first|second|third|fourth|last) week) of) (.+)$/D', $text, $m)) {
            return null;
        }
        [$first, $last] = self::PARTS[$m[1]] ?? [1, 31];
        if (1 === preg_match('/^('.CalendarWords::MONTH.')(?:,? (\d{4}))?$/D', $m[2], $of)) {
            return $this->inMonth(CalendarWords::month($of[1]), $of[2] ?? '', $first, $last);
        }
        [$year, $at] = $this->thisMonth();

        return match ($m[2]) {
            'this month' => $this->of([$year, $at], $first, $last)->leftOf($this->today),
            'next month' => $this->of(self::after($year, $at), $first, $last),
            // What is over of the month is the next one's.
            'the month' => $this->of([$year, $at], $first, $last)->leftOf($this->today) ?? $this->of(self::after($year, $at), $first, $last),
            default => null,
        };
    }

    /** Of a month by its name: what is left where it runs; over and without a year it is the next year's. */
    private function inMonth(int $month, string $year, int $first, int $last): DaySpan
    {
        $at = '' === $year ? (int) $this->today->format('Y') : (int) $year;
        $span = $this->of([$at, $month], $first, $last);

        return $span->leftOf($this->today) ?? ('' === $year ? $this->of([$at + 1, $month], $first, $last) : $span);
    }

    /**
     * @param array{int, int} $of year and month
     * @param int $first day of it; below 1 counted from its last
     */
    private function of(array $of, int $first, int $last): DaySpan
    {
        $length = self::lastOf($of);

        return DaySpan::between($of[0], $of[1], $first < 1 ? $length + $first : $first, min($last, $length));
    }

    /** @param array{int, int} $of year and month */
    private static function lastOf(array $of): int
    {
        return (int) DaySpan::between($of[0], $of[1], 1, 1)->from->format('t');
    }

    /** @return array{int, int} */
    private function thisMonth(): array
    {
        return [(int) $this->today->format('Y'), (int) $this->today->format('n')];
    }

    /** @return array{int, int} */
    private static function after(int $year, int $month): array
    {
        return 12 === $month ? [$year + 1, 1] : [$year, $month + 1];
    }

    /** The same day so many months on; the last one where that month is shorter. */
    private function months(int $n): DaySpan
    {
        [$year, $month] = $this->thisMonth();
        $at = $year * 12 + $month - 1 + $n;
        $of = [intdiv($at, 12), $at % 12 + 1];
        $day = min((int) $this->today->format('j'), self::lastOf($of));

        return DaySpan::between($of[0], $of[1], $day, $day);
    }

    /** @return int days until the next such day of the week, 1 to 7 */
    private function until(int $weekday): int
    {
        return ($weekday - $this->at() + 6) % 7 + 1;
    }

    private function at(): int
    {
        return (int) $this->today->format('N');
    }

    private function plus(int $days): DaySpan
    {
        return $this->days($days, $days);
    }

    private function days(int $from, int $to): DaySpan
    {
        return new DaySpan($this->today->modify(\sprintf('%+d days', $from)), $this->today->modify(\sprintf('%+d days', $to)));
    }
}
