<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** Reads what free times are asked for with, as telamon:slots takes it; what is not said is as usual. */
final class SlotReader
{
    private const MOST_DAYS = 1100;
    private const LONGEST = 1440;
    private const MOST_MINUTES = 5_256_000;

    /**
     * @param mixed $data as decoded from JSON
     *
     * @throws UnreadableSlots
     */
    public function read(mixed $data): SlotRequest
    {
        if (!\is_array($data) || (array_is_list($data) && [] !== $data)) {
            throw new UnreadableSlots('Send one object with zone, now, from, to, type and staff.');
        }
        $zone = self::zone($data['zone'] ?? null);
        [$from, $to] = [self::day($data['from'] ?? null, 'from'), self::day($data['to'] ?? null, 'to')];
        if ($to < $from) {
            throw new UnreadableSlots('to lies before from.');
        }
        if ($to - $from >= self::MOST_DAYS) {
            throw new UnreadableSlots('from and to are more than '.self::MOST_DAYS.' days apart.');
        }
        $closures = [];
        foreach (self::list($data['closures'] ?? [], 'closures') as $i => $day) {
            $closures[self::day($day, "closures.$i")] = true;
        }
        $people = [];
        foreach (self::list($data['staff'] ?? null, 'staff') as $i => $one) {
            $person = $this->person($one, "staff.$i");
            if (isset($people["id:{$person->id}"])) {
                throw new UnreadableSlots("staff.$i.id: {$person->id} stands twice.");
            }
            $people["id:{$person->id}"] = $person;
        }

        return new SlotRequest($zone, self::instant($data['now'] ?? null, 'now'), $from, $to, $this->type($data['type'] ?? null), $closures, array_values($people));
    }

    private function type(mixed $data): SlotType
    {
        $data = self::map($data, 'type');

        return new SlotType(
            self::whole($data, 'length', 'type', 1, self::LONGEST),
            self::whole($data, 'clear_before', 'type', 0, self::MOST_MINUTES, 0),
            self::whole($data, 'clear_after', 'type', 0, self::MOST_MINUTES, 0),
            self::whole($data, 'step', 'type', 1, self::LONGEST),
            self::whole($data, 'notice_minutes', 'type', 0, self::MOST_MINUTES, 0),
            isset($data['furthest_days']) ? self::whole($data, 'furthest_days', 'type', 0, 36_525) : null,
            isset($data['day_limit']) ? self::whole($data, 'day_limit', 'type', 0, 1_000_000) : null,
            self::whole($data, 'seats', 'type', 1, 1_000_000, 1),
        );
    }

    private function person(mixed $data, string $at): SlotPerson
    {
        $data = self::map($data, $at);
        $id = $data['id'] ?? null;
        if (!\is_string($id) || '' === $id) {
            throw new UnreadableSlots("$at.id: name somebody.");
        }
        $hours = [];
        foreach (self::map($data['hours'] ?? [], "$at.hours") as $weekday => $spans) {
            if (1 !== preg_match('/^[1-7]$/D', (string) $weekday)) {
                throw new UnreadableSlots("$at.hours.$weekday: weekdays are 1 for Monday to 7.");
            }
            $hours[(int) $weekday] = $this->spans($spans, "$at.hours.$weekday");
        }
        $dates = [];
        foreach (self::map($data['dates'] ?? [], "$at.dates") as $day => $spans) {
            $dates[self::day($day, "$at.dates")] = $this->spans($spans, "$at.dates.$day");
        }
        $absent = [];
        foreach (self::list($data['absent'] ?? [], "$at.absent") as $i => $span) {
            [$begin, $end] = self::pair($span, "$at.absent.$i");
            $absent[] = [$begin, $end] = [self::local($begin, "$at.absent.$i"), self::local($end, "$at.absent.$i")];
            $begin < $end ?: throw new UnreadableSlots("$at.absent.$i: it ends before it begins.");
        }
        $busy = [];
        foreach (self::list($data['busy'] ?? [], "$at.busy") as $i => $span) {
            [$begin, $end] = self::pair($span, "$at.busy.$i");
            $busy[] = [$begin, $end] = [self::instant($begin, "$at.busy.$i"), self::instant($end, "$at.busy.$i")];
            $begin < $end ?: throw new UnreadableSlots("$at.busy.$i: it ends before it begins.");
        }
        $appointments = [];
        foreach (self::list($data['appointments'] ?? [], "$at.appointments") as $i => $one) {
            $appointments[] = $this->held($one, "$at.appointments.$i");
        }

        return new SlotPerson($id, $hours, $dates, $absent, $busy, $appointments);
    }

    private function held(mixed $data, string $at): Held
    {
        $data = self::map($data, $at);
        [$start, $end] = [self::instant($data['start'] ?? null, "$at.start"), self::instant($data['end'] ?? null, "$at.end")];
        if ($end <= $start) {
            throw new UnreadableSlots("$at: it ends before it begins.");
        }

        return new Held(
            $start,
            $end,
            self::whole($data, 'clear_before', $at, 0, self::MOST_MINUTES, 0),
            self::whole($data, 'clear_after', $at, 0, self::MOST_MINUTES, 0),
            self::whole($data, 'taken', $at, 0, 1_000_000, 1),
        );
    }

    /** @return list<array{int, int}> local seconds from and to, in order */
    private function spans(mixed $data, string $at): array
    {
        $spans = [];
        foreach (self::list($data, $at) as $i => $span) {
            [$from, $to] = self::pair($span, "$at.$i");
            [$begin, $end] = [self::time($from, "$at.$i"), self::time($to, "$at.$i")];
            if ($end <= $begin) {
                throw new UnreadableSlots("$at.$i: hours end after they begin, and on the same day.");
            }
            $spans[] = [$begin, $end];
        }
        sort($spans);
        foreach ($spans as $i => [$begin]) {
            if ($i > 0 && $begin < $spans[$i - 1][1]) {
                throw new UnreadableSlots("$at: two hours overlap.");
            }
        }

        return $spans;
    }

    private static function zone(mixed $name): \DateTimeZone
    {
        if (!\is_string($name) || !\in_array($name, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true)) {
            throw new UnreadableSlots('zone: name a zone of the IANA database, such as Europe/Dublin.');
        }

        return new \DateTimeZone($name);
    }

    /** @return int days since 1970-01-01 */
    private static function day(mixed $text, string $at): int
    {
        if (!\is_string($text) || 1 !== preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $m) || !checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw new UnreadableSlots("$at: write a day like 2026-12-01.");
        }

        return intdiv((int) gmmktime(0, 0, 0, (int) $m[2], (int) $m[3], (int) $m[1]), 86_400);
    }

    /** @return int seconds of the day */
    private static function time(mixed $text, string $at): int
    {
        if (!\is_string($text) || 1 !== preg_match('/^(?:([01]\d|2[0-3]):([0-5]\d)|24:00)$/D', $text, $m)) {
            throw new UnreadableSlots("$at: write a time like 09:00, at most 24:00.");
        }

        return isset($m[2]) ? 3600 * (int) $m[1] + 60 * (int) $m[2] : 86_400;
    }

    /** @return array{int, int} local day and seconds of it */
    private static function local(mixed $text, string $at): array
    {
        if (!\is_string($text) || 1 !== preg_match('/^([^T]+)T(\d{2}:\d{2})(?::00)?$/D', $text, $m)) {
            throw new UnreadableSlots("$at: write a local time like 2026-12-02T12:00.");
        }

        return [self::day($m[1], $at), self::time($m[2], $at)];
    }

    /** @return int microseconds since 1970-01-01T00:00:00Z */
    private static function instant(mixed $text, string $at): int
    {
        $pattern = '/^(\d{4}-\d{2}-\d{2})[Tt]([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d+)?([Zz]|[+-]([01]\d|2[0-3]):[0-5]\d)$/D';
        if (!\is_string($text) || 1 !== preg_match($pattern, $text, $m)) {
            throw new UnreadableSlots("$at: write a moment as RFC 3339 has it, such as 2026-12-01T09:00:00+00:00.");
        }
        self::day($m[1], $at);
        $moment = new \DateTimeImmutable(strtoupper($text));

        return $moment->getTimestamp() * LocalClock::SECOND + (int) $moment->format('u');
    }

    /** @param array<array-key, mixed> $data */
    private static function whole(array $data, string $key, string $at, int $least, int $most, ?int $usual = null): int
    {
        $value = $data[$key] ?? $usual;

        return \is_int($value) && $value >= $least && $value <= $most ? $value : throw new UnreadableSlots("$at.$key: write a whole number from $least to $most.");
    }

    /** @return array{mixed, mixed} */
    private static function pair(mixed $data, string $at): array
    {
        return \is_array($data) && array_is_list($data) && 2 === \count($data) ? [$data[0], $data[1]] : throw new UnreadableSlots("$at: write two, from and to.");
    }

    /** @return list<mixed> */
    private static function list(mixed $data, string $at): array
    {
        return \is_array($data) && array_is_list($data) ? $data : throw new UnreadableSlots("$at: write a list.");
    }

    /** @return array<array-key, mixed> */
    private static function map(mixed $data, string $at): array
    {
        return \is_array($data) && ([] === $data || !array_is_list($data)) ? $data : throw new UnreadableSlots("$at: write an object.");
    }
}
