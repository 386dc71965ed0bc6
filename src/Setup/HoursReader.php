<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Telamon\Refusal\InvalidInput;

/** Reads opening hours as OpenDays in the contract. */
final class HoursReader
{
    private const MOST_SPANS = 4;

    /**
     * @return array<int, list<array{string, string}>> local spans by ISO 8601 day of the week, in order, all seven days
     *
     * @throws InvalidInput
     */
    public static function read(mixed $days): array
    {
        $hours = array_fill(1, 7, []);
        foreach (\is_array($days) ? $days : throw new InvalidInput('hours', 'Send the days of the week.') as $i => $one) {
            $day = \is_array($one) ? $one['day'] ?? null : null;
            $spans = \is_array($one) ? $one['spans'] ?? null : null;
            if (!\is_int($day) || $day < 1 || $day > 7 || !\is_array($spans) || \count($spans) > self::MOST_SPANS) {
                throw new InvalidInput("hours.$i", 'A day is 1 to 7 and has at most '.self::MOST_SPANS.' times.');
            }
            $hours[$day] = self::spans("hours.$i", $spans);
        }

        return [] === array_filter($hours) ? throw new InvalidInput('hours', 'Be open on one day at least: tasks are counted in working days.') : $hours;
    }

    /**
     * @param array<array-key, mixed> $spans
     *
     * @return list<array{string, string}>
     */
    private static function spans(string $path, array $spans): array
    {
        $read = [];
        foreach ($spans as $span) {
            [$from, $to] = \is_array($span) ? [
                self::time($path, $span['from'] ?? null),
                self::time($path, $span['to'] ?? null),
            ] : throw new InvalidInput($path, 'Send from and to.');
            if ($from >= $to) {
                throw new InvalidInput($path, "It closes at $to, before it opens at $from.");
            }
            $read[] = [$from, $to];
        }
        sort($read);
        foreach ($read as $i => [$from]) {
            if ($i > 0 && $from < $read[$i - 1][1]) {
                throw new InvalidInput($path, "Two times of this day overlap at $from.");
            }
        }

        return $read;
    }

    private static function time(string $path, mixed $text): string
    {
        return \is_string($text) && 1 === preg_match('/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/D', $text) ? $text : throw new InvalidInput($path, 'Write times like 09:00 and 17:30.');
    }
}
