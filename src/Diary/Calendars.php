<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Absence;
use Telamon\Business\Profile;
use Telamon\Core\Booking\TypeSettings;
use Telamon\Core\Slots\Held;
use Telamon\Core\Slots\LocalClock;
use Telamon\Core\Slots\SlotPerson;
use Telamon\Core\Slots\SlotRequest;
use Telamon\Core\Slots\SlotType;
use Telamon\Staff\Staff;

/** Gathers what the core needs to find free times: hours, absences, closures, appointments, held times, other calendars, roads. */
final readonly class Calendars
{
    private const DAY = 86_400;
    private const RESOURCE = 'resource:';

    public function __construct(
        private EntityManagerInterface $em,
        private Profile $business,
        private RoadTable $roads,
        private PersonalHours $hours,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $from, $to local days, ISO 8601, both included
     * @param list<Staff> $people who is looked at
     */
    public function request(Wanted $wanted, string $from, string $to, array $people): SlotRequest
    {
        $settings = $wanted->type->settings();
        $type = new SlotType(
            $wanted->length,
            $settings->clearBefore,
            $settings->clearAfter,
            $settings->step,
            $wanted->notice ?? $settings->notice,
            $settings->furthestDays,
            $settings->dayLimit,
            $settings->seats,
        );
        $standing = $this->standing($wanted, $from, $to);
        $where = $settings->place->isOnTheRoad() ? $wanted->address : ('here' === $settings->place->value ? $this->business->business()->address : '');
        $busy = $this->busy($people, $from, $to);
        $absent = $this->absent($people, $from, $to);
        $dates = $this->dates($people, $from, $to);
        $slotPeople = [];
        foreach ($people as $one) {
            $person = $this->hours->of($one, $dates[$one->id] ?? [], $absent[$one->id] ?? [], self::day($from), self::day($to));
            $slotPeople[] = new SlotPerson($one->id, $person->hours, $person->dates, $person->absent, $busy[$one->id] ?? [], $this->held($standing, $one->id, $where));
        }

        return new SlotRequest($this->business->zone(), self::instant($this->clock->now()), self::day($from), self::day($to), $type, $this->closures(), $slotPeople);
    }

    /** What stands against a time by hand: every minute of the clock is a start, the past is none that is refused. */
    public function byHand(Wanted $wanted, TypeSettings $settings, string $day, Staff $staff): SlotRequest
    {
        $asked = $this->request($wanted, $day, $day, [$staff]);
        $type = new SlotType($wanted->length, $settings->clearBefore, $settings->clearAfter, 1, 0, null, null, $settings->seats);

        return new SlotRequest(
            $asked->zone,
            min($asked->now, self::instant(new \DateTimeImmutable($day, $this->business->zone()))),
            $asked->from,
            $asked->to,
            $type,
            $asked->closures,
            $asked->people,
        );
    }

    /**
     * The same for what is taken along: open at any hour, and without a limit a day.
     *
     * @param list<string> $resources ids
     */
    public function ofResources(Wanted $wanted, string $from, string $to, array $resources): SlotRequest
    {
        $settings = $wanted->type->settings();
        $standing = $this->standing($wanted, $from, $to);
        $people = array_map(
            fn (string $id): SlotPerson => new SlotPerson(self::RESOURCE.$id, array_fill(1, 7, [[0, self::DAY]]), appointments: $this->held($standing, self::RESOURCE.$id, '')),
            $resources,
        );

        return new SlotRequest(
            $this->business->zone(),
            self::instant($this->clock->now()),
            self::day($from),
            self::day($to),
            new SlotType(
                $wanted->length,
                $settings->clearBefore,
                $settings->clearAfter,
                $settings->step,
                $wanted->notice ?? $settings->notice,
                $settings->furthestDays,
                null,
                $settings->seats,
            ),
            [],
            $people,
        );
    }

    /** @return int microseconds since 1970 */
    public static function instant(\DateTimeImmutable $at): int
    {
        return $at->getTimestamp() * LocalClock::SECOND;
    }

    /** @return int days since 1970-01-01 */
    public static function day(string $day): int
    {
        return intdiv((new \DateTimeImmutable("$day 00:00", new \DateTimeZone('UTC')))->getTimestamp(), self::DAY);
    }

    /** Where an appointment is, for the road: empty where nobody goes anywhere. */
    public function whereOf(Appointment $appointment): string
    {
        return $appointment->onTheRoad ? $appointment->place : ('here' === $appointment->type?->settings()->place->value ? $this->business->business()->address : '');
    }

    /** @return list<Appointment> that take somebody's time between two local days, each with a day's margin */
    public function appointments(string $from, string $to, string $but = ''): array
    {
        $zone = $this->business->zone();
        /** @var list<Appointment> $found */
        $found = $this->em->createQueryBuilder()->select('a', 's')->from(Appointment::class, 'a')->join('a.staff', 's')
            ->where('a.startsAt >= :from AND a.startsAt < :to AND a.state <> :gone AND a.id <> :but')
            ->setParameter('from', (new \DateTimeImmutable($from, $zone))->modify('-2 days'), 'datetime_immutable')
            ->setParameter('to', (new \DateTimeImmutable($to, $zone))->modify('+3 days'), 'datetime_immutable')
            ->setParameter('gone', AppointmentState::Cancelled->value)->setParameter('but', $but)
            ->orderBy('a.startsAt')->addOrderBy('a.id')->getQuery()->getResult();
        $now = $this->clock->now();

        return array_values(array_filter($found, static fn (Appointment $one): bool => $one->stands($now)));
    }

    /**
     * What is in the way, whoever it belongs to.
     *
     * @return list<array{who: list<string>, where: string, start: int, end: int, before: int, after: int, seats: bool}>
     */
    private function standing(Wanted $wanted, string $from, string $to): array
    {
        $standing = [];
        foreach ($this->appointments($from, $to, $wanted->but) as $one) {
            $standing[] = [
                'who' => [...$one->crew(), ...array_map(static fn (string $id): string => self::RESOURCE.$id, $one->resources)],
                'where' => $this->whereOf($one),
                'start' => self::instant($one->startsAt),
                'end' => self::instant($one->endsAt),
                'before' => $one->clearBefore,
                'after' => $one->clearAfter,
                'seats' => $one->type === $wanted->type,
            ];
        }
        /** @var list<TimeHeld> $held */
        $held = $this->em->createQueryBuilder()->select('h')->from(TimeHeld::class, 'h')->where('h.until > :now AND h.begunBy <> :mine')
            ->setParameter('now', $this->clock->now(), 'datetime_immutable')->setParameter('mine', $wanted->begunBy)->getQuery()->getResult();
        foreach ($held as $one) {
            $standing[] = [
                'who' => [...$one->staff, ...array_map(static fn (string $id): string => self::RESOURCE.$id, $one->resources)],
                'where' => $one->place,
                'start' => self::instant($one->startsAt),
                'end' => self::instant($one->endsAt),
                'before' => $one->clearBefore,
                'after' => $one->clearAfter,
                'seats' => $one->type === $wanted->type,
            ];
        }

        return $standing;
    }

    /**
     * @param list<array{who: list<string>, where: string, start: int, end: int, before: int, after: int, seats: bool}> $standing
     *
     * @return list<Held> what is in somebody's way
     */
    private function held(array $standing, string $who, string $where): array
    {
        $roads = $this->roads->roads();
        $held = [];
        foreach ($standing as $one) {
            if (\in_array($who, $one['who'], true)) {
                // One of another type is no seat of this one, however exactly it stands there.
                $held[] = new Held(
                    $one['start'],
                    $one['end'],
                    $one['before'],
                    $one['after'],
                    $one['seats'] ? 1 : 1_000_000,
                    $roads->between($one['where'], $where),
                    $roads->between($where, $one['where']),
                );
            }
        }

        return $held;
    }

    /**
     * @param list<Staff> $people
     *
     * @return array<string, list<array{int, int}>> instants by id of staff
     */
    private function busy(array $people, string $from, string $to): array
    {
        $zone = $this->business->zone();
        $busy = [];
        $rows = $this->em->getConnection()->fetchAllAssociative(
            'SELECT staff_id, starts_at, ends_at FROM busy_time WHERE staff_id IN (?) AND ends_at > ? AND starts_at < ?',
            [
                array_map(static fn (Staff $one): string => $one->id, $people),
                self::utc(new \DateTimeImmutable($from, $zone), '-2 days'),
                self::utc(new \DateTimeImmutable($to, $zone), '+3 days'),
            ],
            [ArrayParameterType::STRING],
        );
        foreach ($rows as $row) {
            $at = static fn (string $column): int => self::instant(new \DateTimeImmutable(\is_string($row[$column]) ? $row[$column] : '', new \DateTimeZone('UTC')));
            $busy[\is_string($row['staff_id']) ? $row['staff_id'] : ''][] = [$at('starts_at'), $at('ends_at')];
        }

        return $busy;
    }

    /**
     * @param list<Staff> $people
     *
     * @return array<string, list<array{array{int, int}, array{int, int}}>> by id of staff
     */
    private function absent(array $people, string $from, string $to): array
    {
        /** @var list<Absence> $found */
        $found = $this->em->createQueryBuilder()->select('a')->from(Absence::class, 'a')->where('a.staff IN (:people) AND a.last >= :from AND a.first <= :to')
            ->setParameter('people', $people)->setParameter('from', $from)->setParameter('to', $to)->getQuery()->getResult();
        $absent = [];
        foreach ($found as $one) {
            $absent[$one->staff->id][] = [[self::day($one->first->format('Y-m-d')), 0], [self::day($one->last->format('Y-m-d')) + 1, 0]];
        }

        return $absent;
    }

    /**
     * @param list<Staff> $people
     *
     * @return array<string, array<int, list<array{int, int}>>> by id of staff and local day
     */
    private function dates(array $people, string $from, string $to): array
    {
        /** @var list<WorkDay> $found */
        $found = $this->em->createQueryBuilder()->select('d')->from(WorkDay::class, 'd')->where('d.staff IN (:people) AND d.day >= :from AND d.day <= :to')
            ->setParameter('people', $people)->setParameter('from', $from)->setParameter('to', $to)->getQuery()->getResult();
        $dates = [];
        foreach ($found as $one) {
            $dates[$one->staff->id][self::day($one->day->format('Y-m-d'))] = self::spans($one->spans);
        }

        return $dates;
    }

    /** @return array<int, true> local days */
    private function closures(): array
    {
        /** @var list<string> $days */
        $days = $this->em->getConnection()->fetchFirstColumn('SELECT day FROM closure');

        return array_fill_keys(array_map(static fn (string $day): int => self::day(substr($day, 0, 10)), $days), true);
    }

    /**
     * @param list<array{string, string}> $spans local times
     *
     * @return list<array{int, int}> seconds of the day
     */
    public static function spans(array $spans): array
    {
        $seconds = static fn (string $time): int => 3600 * (int) substr($time, 0, 2) + 60 * (int) substr($time, 3, 2);

        return array_map(static fn (array $span): array => [$seconds($span[0]), $seconds($span[1])], $spans);
    }

    private static function utc(\DateTimeImmutable $at, string $by): string
    {
        return $at->modify($by)->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
    }
}
