<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Parameter;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;
use Sabre\VObject\Recur\EventIterator;
use Sabre\VObject\Recur\RRuleIterator;
use Sabre\VObject\Settings;
use Sabre\VObject\TimeZoneUtil;
use Telamon\Queue\JobTookTooLong;
use Telamon\Queue\TimeLimit;
use Telamon\Refusal\InvalidInput;

/**
 * Reads calendar files (RFC 5545); recurrences are expanded by sabre/vobject within the days that are asked for, so that
 * one without an end ends there. What is not read is named. A rule may still take any time and memory: files from outside
 * are read in a process of their own ({@see CalendarChild}).
 */
final class CalendarReader
{
    private const MOST_BYTES = 5_000_000;
    private const MOST_EVENTS = 20_000;
    private const MOST_TIMES = 20_000;
    /** Times of one series: hourly for six weeks. */
    private const MOST_OF_SERIES = 1_000;
    private const SECONDS_OF_SERIES = 2;
    private const MOST_NAMED = 50;

    /** @var list<string> what was not read, and why */
    private array $left = [];

    /** @return list<string> what of the file read last was not read, in words */
    public function left(): array
    {
        return \count($this->left) > self::MOST_NAMED ? [...\array_slice($this->left, 0, self::MOST_NAMED), 'and '.(\count($this->left) - self::MOST_NAMED).' more'] : $this->left;
    }

    /**
     * Times at which an event keeps somebody busy: not those that say they do not (TRANSP:TRANSPARENT), nor cancelled ones.
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable}> in UTC
     *
     * @throws InvalidInput where it is no calendar, or too long
     */
    public function busy(string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        $busy = [];
        foreach ($this->expanded($text, $from, $to, $zone) as $event) {
            if ('TRANSPARENT' === self::text($event, 'TRANSP') || 'CANCELLED' === self::text($event, 'STATUS')) {
                continue;
            }
            $span = self::span($event, $zone);
            if (null !== $span && $span[1] > $from && $span[0] < $to) {
                $busy[] = $span;
            }
        }
        if (\count($busy) > self::MOST_TIMES) {
            throw new InvalidInput('file', 'That calendar has more than '.number_format(self::MOST_TIMES).' times.');
        }

        return $busy;
    }

    /**
     * Its events one by one, recurrences expanded.
     *
     * @return list<array{uid: string, title: string, place: string, notes: string, start: \DateTimeImmutable, end: \DateTimeImmutable, cancelled: bool}>
     *
     * @throws InvalidInput
     */
    public function events(string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        $events = [];
        $seen = [];
        foreach ($this->expanded($text, $from, $to, $zone) as $event) {
            $span = self::span($event, $zone);
            if (null === $span) {
                continue;
            }
            $uid = mb_substr(trim(self::text($event, 'UID')), 0, 150);
            $uid = '' === $uid ? hash('sha256', $event->serialize()) : $uid;
            // Each time of a series is an appointment of its own.
            $uid = '' !== self::text($event, 'RECURRENCE-ID') ? "$uid/{$span[0]->format('Ymd\THis\Z')}" : $uid;
            if (isset($seen[$uid])) {
                continue;
            }
            $seen[$uid] = true;
            $events[] = [
                'uid' => $uid,
                'title' => trim(self::text($event, 'SUMMARY')),
                'place' => trim(self::text($event, 'LOCATION')),
                'notes' => trim(self::text($event, 'DESCRIPTION')),
                'start' => $span[0],
                'end' => $span[1],
                'cancelled' => 'CANCELLED' === self::text($event, 'STATUS'),
            ];
        }

        return $events;
    }

    /** @return list<VEvent> */
    private function expanded(string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        $this->left = [];
        if (\strlen($text) > self::MOST_BYTES) {
            throw new InvalidInput('file', 'That file is larger than 5 MB.');
        }
        Settings::$maxRecurrences = -1;
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING | Reader::OPTION_IGNORE_INVALID_LINES);
        } catch (ParseException $error) {
            throw new InvalidInput('file', "That is no calendar file: {$error->getMessage()}");
        }
        if (!$calendar instanceof VCalendar) {
            throw new InvalidInput('file', 'That is no calendar file.');
        }
        $groups = [];
        foreach ($calendar->select('VEVENT') as $event) {
            $why = $event instanceof VEvent ? self::unreadable($event, $zone) : 'is no event';
            if ($event instanceof VEvent && null === $why) {
                $groups[self::text($event, 'UID')][] = $event;
            } else {
                $this->left[] = ($event instanceof VEvent ? self::called($event) : 'Something')." $why";
            }
        }
        if (\count($groups) > self::MOST_EVENTS) {
            throw new InvalidInput('file', 'That calendar has more than '.number_format(self::MOST_EVENTS).' events. Export a shorter span of it.');
        }
        $found = [];
        foreach ($groups as $group) {
            array_push($found, ...$this->times($group, $from, $to, $zone));
            if (\count($found) > self::MOST_TIMES) {
                throw new InvalidInput('file', 'That calendar has more than '.number_format(self::MOST_TIMES).' times within the days that are looked at.');
            }
        }

        return $found;
    }

    /**
     * @param non-empty-list<VEvent> $group one event, or a series with what was moved of it
     *
     * @return list<VEvent> each at its time
     */
    private function times(array $group, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        if (1 === \count($group) && '' === self::text($group[0], 'RRULE') && [] === $group[0]->select('RDATE')) {
            return [$group[0]];
        }
        try {
            return TimeLimit::within(self::SECONDS_OF_SERIES, 'it', function () use ($group, $from, $to, $zone): array {
                $times = [];
                $series = new EventIterator($group, null, $zone);
                $series->fastForward($from);
                for (; $series->valid() && $series->getDtStart() < $to; $series->next()) {
                    if (\count($times) >= self::MOST_OF_SERIES) {
                        $this->left[] = self::called($group[0]).' comes more than '.number_format(self::MOST_OF_SERIES).' times: only the first are taken';
                        break;
                    }
                    $times[] = $series->getEventObject();
                }

                return $times;
            });
        } catch (\Throwable $error) {
            $this->left[] = self::called($group[0]).($error instanceof JobTookTooLong ? ' recurs by a rule that takes too long to work out' : " cannot be read: {$error->getMessage()}");
        }

        return [];
    }

    /** Why an event is not read; null where it says when it is, and how it recurs. */
    private static function unreadable(VEvent $event, \DateTimeZone $zone): ?string
    {
        $begins = self::property($event, 'DTSTART');
        if (!$begins instanceof DateTime) {
            return 'does not say when it is';
        }
        if ('' === self::text($event, 'UID')) {
            return 'has no UID, by which it would be known again';
        }
        $tz = $begins['TZID'] ?? null;
        $named = $tz instanceof Parameter ? (string) $tz->getValue() : '';
        if ('' !== $named && null === self::zone($event, $named)) {
            return "is in a zone that nobody knows: $named";
        }
        try {
            $start = $begins->getDateTime($zone);
            $rule = self::text($event, 'RRULE');
            if ('' !== $rule && self::neverComes($rule)) {
                return 'recurs on a day that there is none of';
            }

            return '' === $rule || (new RRuleIterator($rule, $start))->valid() ? null : 'recurs by a rule that cannot be read';
        } catch (\Exception) {
            return 'is at a time that there is none of';
        }
    }

    private static function zone(VEvent $event, string $named): ?\DateTimeZone
    {
        try {
            return TimeZoneUtil::getTimeZone($named, $event->parent instanceof VCalendar ? $event->parent : null, true);
        } catch (\Exception) {
            return null;
        }
    }

    /** A rule like "30 February every year": looked for, it would be looked for until the end of time. */
    private static function neverComes(string $rule): bool
    {
        parse_str(str_replace(';', '&', strtoupper($rule)), $parts);
        $numbers = static fn (string $name): array => \is_string($parts[$name] ?? null) && '' !== $parts[$name] ? array_map(intval(...), explode(',', $parts[$name])) : [];
        [$months, $days] = [$numbers('BYMONTH'), $numbers('BYMONTHDAY')];
        foreach ([] === $months || [] === $days ? [] : $months as $month) {
            foreach ($days as $day) {
                if ($month >= 1 && $month <= 12 && 0 !== $day && abs($day) <= [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][$month - 1]) {
                    return false;
                }
            }
        }

        return [] !== $months && [] !== $days;
    }

    /** What somebody knows it by. */
    private static function called(VEvent $event): string
    {
        $title = trim(self::text($event, 'SUMMARY'));
        $begins = self::property($event, 'DTSTART');

        return mb_scrub('“'.mb_substr('' === $title ? (null === $begins ? 'An event without a title' : (string) $begins) : $title, 0, 60).'”');
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable}|null in UTC; null where it takes no time */
    private static function span(VEvent $event, \DateTimeZone $zone): ?array
    {
        $utc = new \DateTimeZone('UTC');
        [$begins, $ends, $duration] = [self::property($event, 'DTSTART'), self::property($event, 'DTEND'), self::text($event, 'DURATION')];
        if (!$begins instanceof DateTime) {
            return null;
        }
        try {
            $start = $begins->getDateTime($zone);
            $end = match (true) {
                $ends instanceof DateTime => $ends->getDateTime($zone),
                '' !== $duration => $start->add(new \DateInterval(ltrim($duration, '+'))),
                !$begins->hasTime() => $start->modify('+1 day'),
                default => $start,
            };
        } catch (\Exception) {
            // A zone that nobody knows, or a day that is none.
            return null;
        }

        return $end > $start ? [$start->setTimezone($utc), $end->setTimezone($utc)] : null;
    }

    private static function property(VEvent $event, string $name): ?Property
    {
        $found = $event->select($name)[0] ?? null;

        return $found instanceof Property ? $found : null;
    }

    private static function text(VEvent $event, string $name): string
    {
        return (string) self::property($event, $name);
    }
}
