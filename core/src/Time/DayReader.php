<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/**
 * Reads calendar days. A day in figures from a source that has not said whether the day or the
 * month comes first is never guessed: both days come back.
 */
final class DayReader
{
    /**
     * @param string $text an ISO 8601 day, “04/05/2027” (also with . or -) or “12 June 2027”
     *
     * @return list<\DateTimeImmutable> no day where there is none, one, or two where the order is not known; the
     *                                  earlier first; midnight UTC, the time and zone carry no meaning
     */
    public function read(string $text, DayOrder $order): array
    {
        $text = trim($text);
        if (1 === preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $m)) {
            return self::days([[(int) $m[1], (int) $m[2], (int) $m[3]]]);
        }
        if (1 === preg_match('/^(\d{1,2})(?:st|nd|rd|th)?\.?\s+([A-Za-z]{3,9})\.?,?\s+(\d{4})$/', $text, $m)) {
            return self::days([[(int) $m[3], self::month($m[2]), (int) $m[1]]]);
        }
        if (1 === preg_match('/^([A-Za-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/', $text, $m)) {
            return self::days([[(int) $m[3], self::month($m[1]), (int) $m[2]]]);
        }
        if (1 !== preg_match('#^(\d{1,2})([/.\-])(\d{1,2})\2(\d{4})$#', $text, $m)) {
            return [];
        }
        [$first, $second, $year] = [(int) $m[1], (int) $m[3], (int) $m[4]];

        return self::days(match ($order) {
            DayOrder::DayFirst => [[$year, $second, $first]],
            DayOrder::MonthFirst => [[$year, $first, $second]],
            DayOrder::Unstated => [[$year, $second, $first], [$year, $first, $second]],
        });
    }

    private static function month(string $word): int
    {
        $word = strtolower($word);
        foreach (['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'] as $i => $name) {
            if ($word === $name || ($word === substr($name, 0, 3)) || ('sept' === $word && 8 === $i)) {
                return $i + 1;
            }
        }

        return 0;
    }

    /**
     * @param list<array{int, int, int}> $candidates year, month, day
     *
     * @return list<\DateTimeImmutable>
     */
    private static function days(array $candidates): array
    {
        $days = [];
        foreach ($candidates as [$year, $month, $day]) {
            if (checkdate($month, $day, $year)) {
                $iso = \sprintf('%04d-%02d-%02d', $year, $month, $day);
                $days[$iso] = new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
            }
        }
        ksort($days);

        return array_values($days);
    }
}
