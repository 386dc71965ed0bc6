<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Slots;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Calendars thrown by dice with a seed: the same every time. Half of them lie on a day on which the clocks change.
 *
 * @phpstan-import-type Calendar from MinuteByMinute
 * @phpstan-import-type Person from MinuteByMinute
 */
final class MadeCalendars
{
    /** Days of 2026 and 2027 on which clocks change, by zone (IANA Time Zone Database 2024a, from memory; the zones' own rules are what counts). */
    private const CHANGES = [
        'Europe/Dublin' => ['2026-03-29', '2026-10-25'],
        'America/New_York' => ['2026-03-08', '2026-11-01'],
        'Australia/Lord_Howe' => ['2026-04-05', '2026-10-04'],
        'America/Havana' => ['2026-03-08', '2026-11-01'],
        'Asia/Kathmandu' => ['2026-06-01', '2026-12-01'],
        'UTC' => ['2026-02-28', '2026-12-31'],
    ];

    private function __construct(private readonly Randomizer $dice)
    {
    }

    /** @return iterable<int, Calendar> */
    public static function make(int $count, int $seed): iterable
    {
        $self = new self(new Randomizer(new Mt19937($seed)));
        for ($i = 0; $i < $count; ++$i) {
            yield $i => $self->calendar();
        }
    }

    /** @return Calendar */
    private function calendar(): array
    {
        $zone = $this->one(array_keys(self::CHANGES));
        $from = 0 === $this->dice->getInt(0, 1) ? $this->one(self::CHANGES[$zone]) : \sprintf('2026-%02d-%02d', $this->dice->getInt(1, 12), $this->dice->getInt(1, 28));
        $to = 0 === $this->dice->getInt(0, 3) ? (new \DateTimeImmutable($from))->modify('+1 day')->format('Y-m-d') : $from;
        $midnight = (new \DateTimeImmutable("$from 00:00", new \DateTimeZone($zone)))->getTimestamp();

        return [
            'zone' => $zone,
            'now' => gmdate('Y-m-d\TH:i:s\Z', $midnight + 60 * $this->dice->getInt(-3000, 900)),
            'from' => $from,
            'to' => $to,
            'type' => [
                'length' => $this->one([15, 30, 45, 60, 90, 150]), 'clear_before' => $this
                    ->one([0, 0, 10, 30]), 'clear_after' => $this
                    ->one([0, 0, 15, 45]), 'step' => $this
                    ->one([7, 10, 15, 20, 30, 60]),
                'notice_minutes' => $this->one([0, 30, 120]), 'furthest_days' => $this
                    ->one([0, 1, 30]), 'day_limit' => $this
                    ->one([null, null, 1, 2]), 'seats' => $this
                    ->one([1, 1, 3]),
            ],
            'closures' => 0 === $this->dice->getInt(0, 9) ? [$to] : [],
            'staff' => array_map(fn (string $id): array => $this->person($id, $from, $midnight), 0 === $this->dice->getInt(0, 2) ? ['b', 'a'] : ['a']),
        ];
    }

    /** @return Person */
    private function person(string $id, string $from, int $midnight): array
    {
        $hours = [];
        foreach (range(1, 7) as $day) {
            $hours[$day] = $this->hours();
        }
        $appointments = [];
        for ($i = $this->dice->getInt(0, 3); $i > 0; --$i) {
            $start = $midnight + 900 * $this->dice->getInt(-8, 110);
            $appointments[] = [
                'start' => gmdate('Y-m-d\TH:i:s\Z', $start),
                'end' => gmdate('Y-m-d\TH:i:s\Z', $start + 60 * $this->one([15, 30, 45, 60, 90])),
                'clear_before' => $this->one([0, 15, 60]),
                'clear_after' => $this->one([0, 15, 60]),
                'taken' => $this->one([1, 1, 2, 3]),
            ];
        }
        $busy = [];
        if (0 === $this->dice->getInt(0, 1)) {
            $start = $midnight + 60 * $this->dice->getInt(-60, 1500);
            $busy[] = [gmdate('Y-m-d\TH:i:s\Z', $start), gmdate('Y-m-d\TH:i:s\Z', $start + 60 * $this->dice->getInt(1, 200))];
        }
        $at = $this->dice->getInt(0, 22);

        return [
            'id' => $id, 'hours' => $hours,
            'dates' => 0 === $this->dice->getInt(0, 4) ? [$from => $this->hours()] : [],
            'absent' => 0 === $this->dice->getInt(0, 2) ? [[\sprintf('%sT%02d:30', $from, $at), \sprintf('%sT%02d:15', $from, min(23, $at + 1 + $this->dice->getInt(0, 3)))]] : [],
            'busy' => $busy, 'appointments' => $appointments,
        ];
    }

    /** @return list<array{string, string}> */
    private function hours(): array
    {
        return $this->one([
            [],
            [['00:00', '24:00']],
            [['09:00', '12:30'], ['13:00', '17:00']],
            [['00:30', '01:30'], ['02:00', '03:30']],
            [['01:30', '02:30']],
            [['01:00', '06:00'], ['06:00', '09:15']],
            [['20:00', '24:00']],
        ]);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $some
     *
     * @return T
     */
    private function one(array $some): mixed
    {
        return $some[$this->dice->getInt(0, \count($some) - 1)];
    }
}
