<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Refusal\InvalidInput;

/** Reads the hours of one day. */
final class DaySpans
{
    private const MOST = 4;

    /**
     * @return list<array{string, string}> local times, in order
     *
     * @throws InvalidInput
     */
    public static function read(mixed $spans): array
    {
        if (!\is_array($spans) || \count($spans) > self::MOST) {
            throw new InvalidInput('spans', 'A day has at most '.self::MOST.' times.');
        }
        $read = [];
        foreach ($spans as $span) {
            $from = \is_array($span) ? $span['from'] ?? null : null;
            $to = \is_array($span) ? $span['to'] ?? null : null;
            $pattern = '/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/D';
            if (!\is_string($from) || !\is_string($to) || 1 !== preg_match($pattern, $from) || 1 !== preg_match($pattern, $to) || $from >= $to) {
                throw new InvalidInput('spans', 'Write times like 09:00 to 17:30, the end after the beginning and on the same day.');
            }
            $read[] = [$from, $to];
        }
        sort($read);
        foreach ($read as $i => [$from]) {
            if ($i > 0 && $from < $read[$i - 1][1]) {
                throw new InvalidInput('spans', "Two times overlap at $from.");
            }
        }

        return $read;
    }
}
