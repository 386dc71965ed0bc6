<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Absence;
use Telamon\Business\Closure;
use Telamon\Business\Profile;
use Telamon\Core\Booking\Clashes;
use Telamon\Core\Booking\Placed;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\BookedTimes;
use Telamon\Diary\BusyTime;
use Telamon\Diary\Calendars;
use Telamon\Diary\PeopleAtWork;
use Telamon\Diary\RoadTable;
use Telamon\Staff\Staff;

/** The diary of some days, as Diary in the contract: who works when, what stands, what clashes and what somebody has to look at. */
final readonly class DiaryView
{
    public function __construct(
        private EntityManagerInterface $em,
        private Calendars $calendars,
        private PeopleAtWork $work,
        private RoadTable $roads,
        private AppointmentView $view,
        private BookedTimes $booked,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $from, $to local days, ISO 8601
     * @param Staff|null $only whose diary; null for everybody's
     *
     * @return array<string, mixed>
     */
    public function show(string $from, string $to, ?Staff $only): array
    {
        $zone = $this->business->zone();
        $now = $this->clock->now()->setTimezone($zone);
        $staff = null === $only ? $this->em->getRepository(Staff::class)->findBy(['active' => true], ['name' => 'ASC']) : [$only];
        $appointments = array_values(array_filter($this->calendars->appointments($from, $to), static function (Appointment $one) use ($from, $to, $zone, $only): bool {
            $day = $one->startsAt->setTimezone($zone)->format('Y-m-d');

            return $day >= $from && $day <= $to && (null === $only || \in_array($only->id, $one->crew(), true));
        }));
        // Whoever is shown works, or has something to go to; whoever only keeps the office is not a lane.
        $busy = array_merge(...array_map(static fn (Appointment $one): array => $one->crew(), $appointments), ...[[]]);
        $lanes = array_values(array_filter($staff, fn (Staff $one): bool => $only === $one || \in_array($one->id, $busy, true) || $this->work->takes($one)));
        $clashes = $this->clashes($appointments);

        return [
            'from' => $from, 'to' => $to, 'today' => $now->format('Y-m-d'), 'now' => $now->format(\DATE_RFC3339), 'zone' => $zone->getName(),
            'opens' => $this->business->business()->opens(), 'closes' => $this->business->business()->closes(),
            'staff' => array_map(AppointmentView::person(...), $lanes),
            'days' => $this->days($from, $to, $lanes, $appointments),
            'appointments' => $this->withRoads($appointments),
            'clashes' => $clashes,
            'needs' => $this->needs($appointments, $clashes, $now),
        ];
    }

    /**
     * @param string $from, $to local days, ISO 8601
     *
     * @return list<array{appointment: string, what: string, words: string}> what somebody has to look at
     */
    public function needsOf(string $from, string $to): array
    {
        $zone = $this->business->zone();
        $appointments = array_values(array_filter(
            $this->calendars->appointments($from, $to),
            static fn (Appointment $one): bool => ($day = $one->startsAt->setTimezone($zone)->format('Y-m-d')) >= $from && $day <= $to,
        ));

        return $this->needs($appointments, $this->clashes($appointments), $this->clock->now());
    }

    /**
     * @param list<Staff> $lanes
     * @param list<Appointment> $appointments
     *
     * @return list<array<string, mixed>>
     */
    private function days(string $from, string $to, array $lanes, array $appointments): array
    {
        $zone = $this->business->zone();
        $closures = [];
        /** @var list<Closure> $closed */
        $closed = $this->em->createQueryBuilder()
            ->select('c')
            ->from(Closure::class, 'c')
            ->where('c.day >= :from AND c.day <= :to')
            ->setParameter('from', $from)
            ->setParameter('to', $to)
            ->getQuery()
            ->getResult();
        foreach ($closed as $closure) {
            $closures[$closure->day->format('Y-m-d')] = $closure->name;
        }
        /** @var list<Absence> $absences */
        $absences = $this->em->createQueryBuilder()
            ->select('a')
            ->from(Absence::class, 'a')
            ->where('a.last >= :from AND a.first <= :to')
            ->setParameter('from', $from)
            ->setParameter('to', $to)
            ->getQuery()
            ->getResult();
        /** @var list<BusyTime> $busy */
        $busy = $this->em->createQueryBuilder()->select('b')->from(BusyTime::class, 'b')->where('b.endsAt > :from AND b.startsAt < :to')
            ->setParameter('from', new \DateTimeImmutable($from, $zone), 'datetime_immutable')->setParameter(
                'to',
                (new \DateTimeImmutable($to, $zone))->modify('+1 day'),
                'datetime_immutable',
            )->setMaxResults(2000)->getQuery()->getResult();
        $open = $this->work->between($from, $to, $lanes);
        $days = [];
        for ($day = $from; $day <= $to; $day = (new \DateTimeImmutable($day))->modify('+1 day')->format('Y-m-d')) {
            $rows = [];
            foreach ($lanes as $one) {
                $away = array_values(array_filter(
                    $absences,
                    static fn (Absence $absence): bool => $absence->staff === $one && $absence->first->format('Y-m-d') <= $day && $day <= $absence->last->format('Y-m-d'),
                ));
                $spans = isset($closures[$day]) || [] !== $away ? [] : $open[$one->id][$day] ?? [];
                $mine = array_values(array_filter(
                    $busy,
                    static fn (BusyTime $time): bool => $time->staffId === $one->id && $time->startsAt->setTimezone($zone)->format('Y-m-d') <= $day && $time->endsAt->setTimezone($zone)->format('Y-m-d') >= $day,
                ));
                $rows[] = [
                    'staff' => $one->id, 'open' => array_map(fn (array $span): array => $this->span($span[0], $span[1]), $spans),
                    'away' => [] === $away ? '' : ('' === $away[0]->note ? 'away' : $away[0]->note),
                    'busy' => array_map(fn (BusyTime $time): array => $this->span($time->startsAt->getTimestamp(), $time->endsAt->getTimestamp()), $mine),
                    'freeMinutes' => Clashes::freeMinutes($spans, self::taken($one, $appointments)),
                ];
            }
            $days[] = [
                'day' => $day,
                'closed' => $closures[$day] ?? ([] === ($this->business->business()->hours[(int) (new \DateTimeImmutable($day))->format('N')] ?? []) ? 'closed' : ''),
                'lanes' => $rows,
            ];
        }

        return $days;
    }

    /**
     * @param list<Appointment> $appointments in order of time
     *
     * @return list<array<string, mixed>>
     */
    private function withRoads(array $appointments): array
    {
        $zone = $this->business->zone();
        $before = [];
        $shown = [];
        foreach ($appointments as $one) {
            $key = $one->staff->id.$one->startsAt->setTimezone($zone)->format('Y-m-d');
            $from = isset($before[$key]) ? $this->calendars->whereOf($before[$key]) : '';
            $shown[] = $this->view->show($one, $this->roads->roads()->between($from, $this->calendars->whereOf($one)));
            $before[$key] = $one;
        }

        return $shown;
    }

    /**
     * @param list<Appointment> $appointments in order of time
     *
     * @return list<array{first: string, second: string, staff: string, words: string}>
     */
    private function clashes(array $appointments): array
    {
        $byId = [];
        foreach ($appointments as $one) {
            $byId[$one->id] = $one;
        }
        $time = fn (\DateTimeImmutable $at): string => $at->setTimezone($this->business->zone())->format('H:i');
        $clashes = [];
        foreach ((new Clashes($this->roads->roads()))->of(array_map($this->placed(...), $appointments)) as $clash) {
            [$first, $second] = [$byId[$clash['first']], $byId[$clash['second']]];
            $name = $this->em->find(Staff::class, $clash['who'])->name ?? '';
            $clashes[] = [
                'first' => $first->id,
                'second' => $second->id,
                'staff' => $clash['who'],
                'words' => "$name is at {$first->recordLabel()} until {$time($first->endsAt)}, and {$second->recordLabel()} begins at {$time($second->startsAt)}".($clash['road'] > 0 ? ", {$clash['road']} min away" : '').'.',
            ];
        }

        return $clashes;
    }

    private function placed(Appointment $one): Placed
    {
        $isGroup = null !== $one->type && $one->type->settings()->seats > 1;

        return new Placed($one->id, $one->crew(), $one->startsAt->getTimestamp(), $one->endsAt->getTimestamp(), $this->calendars->whereOf($one), $isGroup ? $one->type->id : '');
    }

    /**
     * @param list<Appointment> $appointments
     *
     * @return list<array{int, int}> seconds since 1970 in which somebody is somewhere
     */
    private static function taken(Staff $one, array $appointments): array
    {
        return array_map(
            static fn (Appointment $appointment): array => [$appointment->startsAt->getTimestamp(), $appointment->endsAt->getTimestamp()],
            array_values(array_filter($appointments, static fn (Appointment $appointment): bool => \in_array($one->id, $appointment->crew(), true))),
        );
    }

    /**
     * @param list<Appointment> $appointments
     * @param list<array{first: string, second: string, staff: string, words: string}> $clashes
     *
     * @return list<array{appointment: string, what: string, words: string}>
     */
    private function needs(array $appointments, array $clashes, \DateTimeImmutable $now): array
    {
        $needs = array_map(static fn (array $clash): array => ['appointment' => $clash['second'], 'what' => 'clash', 'words' => $clash['words']], $clashes);
        foreach ($appointments as $one) {
            $label = "{$one->recordLabel()}, ".$this->booked->when($one);
            if ('' !== $one->wish) {
                $needs[] = ['appointment' => $one->id, 'what' => 'wish', 'words' => "$label: {$one->wish}"];
            } elseif (AppointmentState::Offered === $one->state) {
                $needs[] = [
                    'appointment' => $one->id,
                    'what' => 'offered',
                    'words' => "$label: no yes yet".(null === $one->heldUntil ? '' : '; kept until '.$one->heldUntil->setTimezone($this->business->zone())->format('D H:i')),
                ];
            } elseif (null === $one->client && null !== $one->submissionId) {
                $needs[] = ['appointment' => $one->id, 'what' => 'waiting', 'words' => "$label: its plan waits for you"];
            } elseif (AppointmentState::Booked === $one->state && $one->endsAt < $now && null !== $one->type) {
                $needs[] = ['appointment' => $one->id, 'what' => 'unmarked', 'words' => "$label: held, or missed?"];
            }
        }

        return $needs;
    }

    /** @return array{from: string, to: string} */
    private function span(int $from, int $to): array
    {
        $at = fn (int $second): string => (new \DateTimeImmutable("@$second"))->setTimezone($this->business->zone())->format(\DATE_RFC3339);

        return ['from' => $at($from), 'to' => $at($to)];
    }
}
