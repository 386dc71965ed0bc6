<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/**
 * Days that are written by date: in figures or with the month by name. Without a year it is the next such day that is not
 * before today; a day of the week in front has to be that of the day so found.
 */
final readonly class WrittenDays
{
    private const YEAR = "(?:\\d{4}|['’]?\\d{2})";
    private const ORDINAL = '(?:st|nd|rd|th)?';
    /** So many years hold every day of the calendar, 29 February among them. */
    private const YEARS = 9;

    public function __construct(private \DateTimeImmutable $today, private DayOrder $order)
    {
    }

    /**
     * @param string $text in small letters, without marks at its end
     *
     * @return list<\DateTimeImmutable> the earlier first; two where the order of day and month is not known
     */
    public function read(string $text): array
    {
        $weekday = null;
        if (1 === preg_match('/^(?:on )?('.CalendarWords::WEEKDAY.'),? (?:the )?(.+)$/D', $text, $m)) {
            [$weekday, $text] = [CalendarWords::weekday($m[1]), $m[2]];
            // “friday 19” is a figure behind a day, and no day.
            if (1 === preg_match('/^\d+$/D', $text)) {
                return [];
            }
        }
        $text = (string) preg_replace('/^(?:on )?the /', '', (string) preg_replace('/^on /', '', $text));
        $days = $this->named($text) ?? $this->inFigures($text) ?? $this->dayOfMonth($text) ?? [];

        return array_values(array_filter($days, static fn (\DateTimeImmutable $day): bool => null === $weekday || $weekday === (int) $day->format('N')));
    }

    /** The day that a month and a number in it mean; with a year that very one, else the next. */
    public function on(int $day, int $month, ?int $year): ?\DateTimeImmutable
    {
        $now = (int) $this->today->format('Y');
        foreach (null === $year ? range($now, $now + self::YEARS) : [$year] as $try) {
            if (checkdate($month, $day, $try)) {
                $found = DaySpan::between($try, $month, $day, $day)->from;
                if (null !== $year || $found >= $this->today) {
                    return $found;
                }
            }
        }

        return null;
    }

    /** @return list<\DateTimeImmutable>|null null where it is not written so */
    private function named(string $text): ?array
    {
        if (1 === preg_match('/^(\d{1,2})'.self::ORDINAL.' (?:of )?('.CalendarWords::MONTH.')(?:,? ('.self::YEAR.'))?$/D', $text, $m)) {
            [$day, $month, $year] = [$m[1], $m[2], $m[3] ?? ''];
        } elseif (1 === preg_match('/^('.CalendarWords::MONTH.') (?:the )?(\d{1,2})'.self::ORDINAL.'(?:,? ('.self::YEAR.'))?$/D', $text, $m)) {
            [$day, $month, $year] = [$m[2], $m[1], $m[3] ?? ''];
        } else {
            return null;
        }
        $found = $this->on((int) $day, CalendarWords::month($month), '' === $year ? null : CalendarWords::year($year));

        return null === $found ? [] : [$found];
    }

    /** @return list<\DateTimeImmutable>|null null where it is not written so */
    private function inFigures(string $text): ?array
    {
        if (1 === preg_match('#^(\d{4})([-/.])(\d{1,2})\2(\d{1,2})$#D', $text, $m)) {
            $found = $this->on((int) $m[4], (int) $m[3], (int) $m[1]);

            return null === $found ? [] : [$found];
        }
        if (1 !== preg_match('#^(\d{1,2})([-/.])(\d{1,2})(?:\2(\d{4}|\d{2}))?$#D', $text, $m)) {
            return null;
        }
        $year = '' === ($m[4] ?? '') ? null : CalendarWords::year($m[4]);
        [$first, $second] = [(int) $m[1], (int) $m[3]];
        $found = [];
        foreach (match ($this->order) {
            DayOrder::DayFirst => [[$first, $second]],
            DayOrder::MonthFirst => [[$second, $first]],
            DayOrder::Unstated => [[$first, $second], [$second, $first]],
        } as [$day, $month]) {
            $one = $this->on($day, $month, $year);
            if (null !== $one) {
                $found[$one->format('Y-m-d')] = $one;
            }
        }
        ksort($found);

        return array_values($found);
    }

    /**
     * “the 19th”: of this month, or of the next that has it.
     *
     * @return list<\DateTimeImmutable>|null null where it is not written so
     */
    private function dayOfMonth(string $text): ?array
    {
        if (1 !== preg_match('/^(\d{1,2})(?:st|nd|rd|th)$/D', $text, $m)) {
            return null;
        }
        [$year, $month] = [(int) $this->today->format('Y'), (int) $this->today->format('n')];
        for ($i = 0; $i < 3; ++$i) {
            if (checkdate($month, (int) $m[1], $year)) {
                $found = DaySpan::between($year, $month, (int) $m[1], (int) $m[1])->from;
                if ($found >= $this->today) {
                    return [$found];
                }
            }
            [$year, $month] = 12 === $month ? [$year + 1, 1] : [$year, $month + 1];
        }

        return [];
    }
}
