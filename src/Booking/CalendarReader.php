<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;
use Sabre\VObject\Recur\MaxInstancesExceededException;
use Sabre\VObject\Recur\NoInstancesException;
use Sabre\VObject\Recur\RRuleIterator;
use Sabre\VObject\Settings;
use Telamon\Refusal\InvalidInput;

/** Reads calendar files (RFC 5545); recurrences are expanded by sabre/vobject within the days that are asked for, so that one without an end ends there. */
final class CalendarReader
{
    private const MOST_BYTES = 5_000_000;
    private const MOST_EVENTS = 20_000;
    private const MOST_TIMES = 20_000;

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
        foreach ($this->expanded($text, $from, $to, $zone)->select('VEVENT') as $event) {
            \assert($event instanceof VEvent);
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
        foreach ($this->expanded($text, $from, $to, $zone)->select('VEVENT') as $event) {
            \assert($event instanceof VEvent);
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
            $events[] = ['uid' => $uid, 'title' => trim(self::text($event, 'SUMMARY')), 'place' => trim(self::text($event, 'LOCATION')), 'notes' => trim(self::text($event, 'DESCRIPTION')), 'start' => $span[0], 'end' => $span[1], 'cancelled' => 'CANCELLED' === self::text($event, 'STATUS')];
        }

        return $events;
    }

    private function expanded(string $text, \DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): VCalendar
    {
        if (\strlen($text) > self::MOST_BYTES) {
            throw new InvalidInput('file', 'That file is larger than 5 MB.');
        }
        Settings::$maxRecurrences = self::MOST_TIMES;
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING | Reader::OPTION_IGNORE_INVALID_LINES);
            if (!$calendar instanceof VCalendar) {
                throw new InvalidInput('file', 'That is no calendar file.');
            }
            if (\count($calendar->select('VEVENT')) > self::MOST_EVENTS) {
                throw new InvalidInput('file', 'That calendar has more than '.number_format(self::MOST_EVENTS).' events.');
            }

            foreach ($calendar->select('VEVENT') as $event) {
                if (!$event instanceof VEvent || !self::isReadable($event, $zone)) {
                    $calendar->remove($event);
                }
            }

            return $calendar->expand($from, $to, $zone);
        } catch (ParseException $error) {
            throw new InvalidInput('file', "That is no calendar file: {$error->getMessage()}");
        } catch (MaxInstancesExceededException|NoInstancesException|InvalidDataException|\InvalidArgumentException $error) {
            throw new InvalidInput('file', "Something in that calendar cannot be read: {$error->getMessage()}");
        }
    }

    /** Whether it says when it is, and how it recurs; one that does not is passed over, the others count. */
    private static function isReadable(VEvent $event, \DateTimeZone $zone): bool
    {
        $begins = self::property($event, 'DTSTART');
        $rule = self::text($event, 'RRULE');
        try {
            $start = $begins instanceof DateTime ? $begins->getDateTime($zone) : null;

            return null !== $start && '' !== self::text($event, 'UID') && ('' === $rule || (new RRuleIterator($rule, $start))->valid());
        } catch (\Exception) {
            return false;
        }
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
