<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;
use Telamon\Core\Time\SpanReader;

/**
 * Reads when somebody would like something to be, from what they answered in English. What says less than it seems to
 * (“not on Mondays”, “after the holidays”, a day whose order is not known) is no wish that can be kept: then null.
 */
final readonly class WishReader
{
    private const DAYS = ['mon' => 1, 'tue' => 2, 'wed' => 3, 'thu' => 4, 'fri' => 5, 'sat' => 6, 'sun' => 7];
    private const PARTS = ['morning' => [0, 720], 'forenoon' => [0, 720], 'afternoon' => [720, 1080], 'evening' => [1020, 1440], 'noon' => [690, 840], 'lunchtime' => [690, 840]];
    /** Words that turn round what stands beside them, or make it depend on something else. */
    private const UNSURE = '/\b(not|never|no|except|but|unless|if|other than|instead|don\'?t|can\'?t|cannot|won\'?t|avoid|school|holidays?|easter|christmas|week|weeks|month|months|next|fortnight|tomorrow|today|asap|soon|later|earliest)\b/';
    private const DAY = '#\b\d{4}-\d{2}-\d{2}\b|\b\d{1,2}[/.\-]\d{1,2}[/.\-]\d{4}\b|\b\d{1,2}(?:st|nd|rd|th)?\.? (?:of )?[a-z]{3,9}\.?,? \d{4}\b|\b[a-z]{3,9}\.? \d{1,2}(?:st|nd|rd|th)?,? \d{4}\b#';
    private const TIME = '/\b(?:(after|from|before|until|till|by) )?(?:(\d{1,2}):(\d{2})( ?[ap]m)?|(\d{1,2}) ?([ap]m))\b/';

    public function __construct(private DayReader $days = new DayReader(), private SpanReader $spans = new SpanReader())
    {
    }

    /**
     * @param list<string> $texts as they were written: what was asked for apart is one wish
     * @param \DateTimeImmutable|null $given midnight UTC of the day on which it was written, from which “next week” counts; null where nobody knows
     */
    public function read(array $texts, DayOrder $order, ?\DateTimeImmutable $given = null): ?Wish
    {
        return $this->asWritten($texts, $order) ?? (null === $given ? null : $this->inWords($texts, $order, $given));
    }

    /**
     * Days in words with a part of the day or a time beside: “next week, mornings”, “19 Dec at 9:30”.
     *
     * @param list<string> $texts
     */
    private function inWords(array $texts, DayOrder $order, \DateTimeImmutable $given): ?Wish
    {
        $text = mb_strtolower(strtr(implode(' ; ', $texts), ['’' => "'"]));
        [$part, $time] = [self::part($text), self::time($text)];
        $beside = '/\b(?:(?:in|during) the |at |around )?(?:'.implode('|', array_keys(self::PARTS)).')s?\b/';
        $days = array_filter(array_map(
            static fn (string $one): string => trim((string) preg_replace(
                ['/\b(at|around)(?= *$)/', '/ +/'],
                ['', ' '],
                trim((string) preg_replace([self::TIME, $beside], ' ', $one), ' ,'),
            )),
            explode(' ; ', $text),
        ), static fn (string $one): bool => '' !== trim($one, ' ,.'));
        $spans = 1 === \count($days) ? $this->spans->read(implode('', $days), $given, $order) : [];
        if (1 !== \count($spans) || null === $part || null === $time) {
            return null;
        }

        return new Wish($spans[0]->from->format('Y-m-d'), $spans[0]->to->format('Y-m-d'), [], max($part[0], $time[0]), min($part[1], $time[1]), $time[2]);
    }

    /** @param list<string> $texts */
    private function asWritten(array $texts, DayOrder $order): ?Wish
    {
        $text = mb_strtolower(strtr(implode(' ; ', $texts), ['’' => "'"]));
        if (1 === preg_match(self::UNSURE, $text)) {
            return null;
        }
        $days = $this->daysOf($text, $order);
        if (null === $days) {
            return null;
        }
        $rest = (string) preg_replace(self::DAY, ' ', $text);
        $weekdays = self::weekdays($rest);
        $part = self::part($rest);
        $time = self::time($rest);
        if (null === $part || null === $time || (1 === preg_match('/\d/', (string) preg_replace(self::TIME, ' ', $rest)))) {
            return null;
        }
        [$from, $to, $at] = $time;
        if ([] === $days && [] === $weekdays && [0, 1440] === $part && [0, 1440, null] === $time) {
            return 1 === preg_match('/\bany ?(time|day)\b/', $rest) ? new Wish() : null;
        }

        return new Wish($days[0] ?? '', $days[\count($days) - 1] ?? '', $weekdays, max($part[0], $from), min($part[1], $to), $at);
    }

    /** @return list<string>|null in order; null where one of them is in doubt */
    private function daysOf(string $text, DayOrder $order): ?array
    {
        preg_match_all(self::DAY, $text, $found);
        $days = [];
        foreach ($found[0] as $one) {
            $read = $this->days->read(str_replace(' of ', ' ', $one), $order);
            if (\count($read) > 1) {
                return null;
            }
            if ([] !== $read) {
                $days[] = $read[0]->format('Y-m-d');
            }
        }
        sort($days);

        return $days;
    }

    /** @return list<int> */
    private static function weekdays(string $text): array
    {
        if (1 === preg_match('/\bweekdays?\b/', $text)) {
            return [1, 2, 3, 4, 5];
        }
        if (1 === preg_match('/\bweekends?\b/', $text)) {
            return [6, 7];
        }
        preg_match_all('/\b(mon|tue|wed|thu|fri|sat|sun)(?:s|day|sday|nesday|rsday|urday|r|rs)?s?\b/', $text, $found);
        $days = array_values(array_unique(array_map(static fn (string $day): int => self::DAYS[$day], $found[1])));
        // “Monday to Thursday” are four days.
        if (2 === \count($days) && $days[0] < $days[1] && 1 === preg_match('/day (to|until|till|through) (mon|tue|wed|thu|fri|sat|sun)/', $text)) {
            return range($days[0], $days[1]);
        }
        sort($days);

        return $days;
    }

    /** @return array{int, int}|null minutes; null where parts that do not touch were asked for */
    private static function part(string $text): ?array
    {
        $spans = [];
        foreach (self::PARTS as $word => $span) {
            if (1 === preg_match("/\\b{$word}s?\\b/", $text)) {
                $spans[] = $span;
            }
        }
        if ([] === $spans) {
            return [0, 1440];
        }
        sort($spans);
        $first = $spans[0];
        foreach (\array_slice($spans, 1) as $span) {
            if ($span[0] > $first[1]) {
                return null;
            }
            $first[1] = max($first[1], $span[1]);
        }

        return $first;
    }

    /** @return array{int, int, int|null}|null from, to and at in minutes of the day; null where several times were said, or one that is none */
    private static function time(string $text): ?array
    {
        preg_match_all(self::TIME, $text, $found, \PREG_SET_ORDER);
        [$from, $to, $at] = [0, 1440, null];
        foreach ($found as $one) {
            $hour = (int) ('' === ($one[2] ?? '') ? $one[5] ?? '' : $one[2]);
            $half = trim('' === ($one[2] ?? '') ? $one[6] ?? '' : $one[4] ?? '');
            $minute = (int) ($one[3] ?? 0);
            if ($minute > 59 || $hour > ('' === $half ? 23 : 12) || ('' !== $half && 0 === $hour)) {
                return null;
            }
            $minutes = 60 * ('' === $half ? $hour : $hour % 12 + ('pm' === $half ? 12 : 0)) + $minute;
            $word = $one[1] ?? '';
            if (\in_array($word, ['after', 'from'], true)) {
                $from = $minutes;
            } elseif ('' !== $word) {
                $to = $minutes;
            } elseif (null !== $at) {
                return null;
            } else {
                $at = $minutes;
            }
        }

        return $from < $to ? [$from, $to, $at] : null;
    }
}
