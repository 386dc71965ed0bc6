<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Opening hours as people write them: “Mon to Fri, 9 to 5; Sat, 10:30 to 13:00”. */
final class HoursInWords
{
    private const DAYS = [1 => 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

    /** @param array<int, list<array{string, string}>> $hours local spans by ISO 8601 day of the week, 24-hour clock */
    public static function of(array $hours): string
    {
        $courses = [];
        for ($day = 1; $day <= 7; ++$day) {
            $spans = implode(' and ', array_map(self::span(...), $hours[$day] ?? []));
            $last = \count($courses) - 1;
            if ($last >= 0 && $courses[$last][2] === $spans) {
                $courses[$last][1] = $day;
            } else {
                $courses[] = [$day, $day, $spans];
            }
        }
        $open = array_filter($courses, static fn (array $course): bool => '' !== $course[2]);

        return implode('; ', array_map(static fn (array $course): string => self::days($course[0], $course[1]).", {$course[2]}", $open));
    }

    private static function days(int $from, int $to): string
    {
        return match ($to - $from) {
            0 => self::DAYS[$from],
            1 => self::DAYS[$from].' and '.self::DAYS[$to],
            default => self::DAYS[$from].' to '.self::DAYS[$to],
        };
    }

    /** @param array{string, string} $span */
    private static function span(array $span): string
    {
        [$from, $to] = $span;
        // “9 to 5” is said of whole hours of a day; anything else keeps its figures.
        if (str_ends_with($from, ':00') && str_ends_with($to, ':00') && (int) $from < 12 && (int) $from > 0 && (int) $to > 12 && (int) $to < 24) {
            return (int) $from.' to '.((int) $to - 12);
        }

        return "$from to $to";
    }
}
