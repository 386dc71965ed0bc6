<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Booking\Candidate;
use Telamon\Core\Booking\Crews;
use Telamon\Core\Booking\TypeReader;
use Telamon\Core\Booking\WhoGetsIt;
use Telamon\Core\Slots\SlotFinder;
use Telamon\Core\Slots\WhyNot;
use Telamon\Staff\Staff;

/** Finds the times at which an appointment of a type can be held, and who gets it. */
final readonly class FreeTimes
{
    public function __construct(
        private EntityManagerInterface $em,
        private Calendars $calendars,
        private Profile $business,
        private ClockInterface $clock,
        private SlotFinder $finder = new SlotFinder(),
        private WhoGetsIt $who = new WhoGetsIt(),
    ) {
    }

    /**
     * @param string $from, $to local days, ISO 8601, both included
     *
     * @return list<array{start: \DateTimeImmutable, crews: non-empty-list<list<string>>}> in order of time, in the business's zone
     */
    public function find(Wanted $wanted, string $from, string $to): array
    {
        $settings = $wanted->type->settings();
        $people = $this->people($wanted->type);
        $crews = new Crews($settings);
        $withResources = $this->withResources($wanted, $from, $to);
        $full = $this->fullWeeks($wanted, $from, $to);
        $waited = $this->waitedFor($wanted, $from, $to);
        $free = [];
        foreach ($this->finder->find($this->calendars->request($wanted, $from, $to, array_values($people))) as $slot) {
            if (null !== $withResources && !isset($withResources[$slot['start']])) {
                continue;
            }
            $start = new \DateTimeImmutable($slot['start']);
            if (isset($waited[$start->getTimestamp()])) {
                continue;
            }
            $week = $start->format('o-W');
            $could = $crews->of(array_values(array_filter($slot['staff'], static fn (string $id): bool => !isset($full["$id $week"]))), $wanted->with);
            if ([] !== $could) {
                $free[] = ['start' => $start->setTimezone($this->business->zone()), 'crews' => $could];
            }
        }

        return $free;
    }

    /**
     * Groups that are full, with a place to wait for.
     *
     * @return list<\DateTimeImmutable> in order of time, in the business's zone
     */
    public function full(Wanted $wanted, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        if ($wanted->type->settings()->seats < 2) {
            return [];
        }
        $zone = $this->business->zone();
        [$first, $last] = [$from->setTimezone($zone)->format('Y-m-d'), $to->setTimezone($zone)->format('Y-m-d')];
        $free = array_flip(array_map(static fn (array $one): int => $one['start']->getTimestamp(), $this->find($wanted, $first, $last)));
        $full = [];
        foreach ($this->calendars->appointments($first, $last) as $one) {
            $at = $one->startsAt->getTimestamp();
            $day = $one->startsAt->setTimezone($zone)->format('Y-m-d');
            if (
                $one->type === $wanted->type
                && !isset($free[$at])
                && $one->endsAt->getTimestamp() - $at === 60 * $wanted->length
                && $one->startsAt > $this->clock->now()
                && $day >= $first
                && $day <= $last
                && ('' === $wanted->with || \in_array($wanted->with, $one->crew(), true))
            ) {
                $full[$at] = $one->startsAt->setTimezone($zone);
            }
        }
        ksort($full);

        return array_values($full);
    }

    /**
     * @return non-empty-list<list<string>>|null who could hold it at a time; null where nobody can
     */
    public function at(Wanted $wanted, \DateTimeImmutable $start): ?array
    {
        $day = $start->setTimezone($this->business->zone())->format('Y-m-d');
        foreach ($this->find($wanted, $day, $day) as $free) {
            if ($free['start']->getTimestamp() === $start->getTimestamp()) {
                return $free['crews'];
            }
        }

        return null;
    }

    /**
     * Who gets it, of those who could.
     *
     * @param non-empty-list<list<string>> $crews ids
     * @param string|null $client id
     *
     * @return list<Staff> whoever leads it first
     */
    public function choose(VisitType $type, array $crews, \DateTimeImmutable $start, ?string $client): array
    {
        $people = $this->people($type);
        $crew = 1 === \count($crews) ? $crews[0] : $this->who->of($crews, $type->settings()->picks, $this->known($people, $start, $client));

        return array_map(static fn (string $id): Staff => $people[$id] ?? throw new \LogicException("nobody of the type has the id $id"), $crew);
    }

    /** @return string|null why somebody cannot hold it then; null where they can */
    public function whyNot(Wanted $wanted, Staff $staff, \DateTimeImmutable $start): ?string
    {
        $day = $start->setTimezone($this->business->zone())->format('Y-m-d');
        $request = $this->calendars->request($wanted, $day, $day, [$staff]);

        return (new WhyNot($request))->of($request->people[0], Calendars::instant($start));
    }

    /**
     * What stands against a time that somebody is given by hand: their hours, absences and other appointments with the
     * road and what is kept clear, closures, what is taken along; not the notice, the steps and the limits for clients.
     *
     * @param int $minutes that it takes
     * @param string $but id of the appointment that is being moved
     */
    public function whyNotByHand(?VisitType $type, int $minutes, string $place, string $but, Staff $staff, \DateTimeImmutable $start): ?string
    {
        $zone = $this->business->zone();
        $local = $start->setTimezone($zone);
        $settings = [
            'lengths' => [$minutes], 'people' => [[$staff->id]], 'step' => 5, 'notice' => 0, 'furthestDays' => 730,
            'clearBefore' => $type?->settings()->clearBefore ?? 0, 'clearAfter' => $type
                ?->settings()->clearAfter ?? 0, 'place' => $type
                ?->settings()->place->value ?? ('' === $place ? 'phone' : 'client'),
            'seats' => $type?->settings()->seats ?? 1,
        ];
        $as = new VisitType('by-hand', 'By hand', (new TypeReader())->read($settings), false, 0);
        $wanted = new Wanted($type ?? $as, $minutes, $place, but: $but);
        $day = $local->format('Y-m-d');
        $request = $this->calendars->byHand($wanted, $as->settings(), $day, $staff);
        $why = (new WhyNot($request))->of($request->people[0], Calendars::instant($start));
        if (null === $why && null !== $type && [] !== $type->settings()->resources) {
            foreach ($this->calendars->ofResources($wanted, $day, $day, $type->settings()->resources)->people as $resource) {
                foreach ($resource->appointments as $held) {
                    if ($held->start < Calendars::instant($start->modify("+$minutes minutes")) && Calendars::instant($start) < $held->end) {
                        $name = $this->em->find(Resource::class, substr($resource->id, 9))->name ?? 'what it takes along';
                        $why = "$name is taken then";
                    }
                }
            }
        }

        return $why;
    }

    /** @return array<string, Staff> who may take it and is here, by id */
    public function people(VisitType $type): array
    {
        $people = [];
        foreach ($this->em->getRepository(Staff::class)->findBy(['id' => $type->settings()->everybody()]) as $one) {
            if ($one->active) {
                $people[$one->id] = $one;
            }
        }

        return $people;
    }

    /** @return array<string, true>|null starts at which all that it takes is there; null where it takes nothing */
    private function withResources(Wanted $wanted, string $from, string $to): ?array
    {
        $resources = $wanted->type->settings()->resources;
        if ([] === $resources) {
            return null;
        }
        $starts = [];
        foreach ($this->finder->find($this->calendars->ofResources($wanted, $from, $to, $resources)) as $slot) {
            if (\count($slot['staff']) === \count($resources)) {
                $starts[$slot['start']] = true;
            }
        }

        return $starts;
    }

    /** @return array<int, true> starts whose places are for those who wait, whoever waits longest first; the time of whoever looks is left out where it is their turn */
    private function waitedFor(Wanted $wanted, string $from, string $to): array
    {
        if ($wanted->type->settings()->seats < 2) {
            return [];
        }
        /** @var list<WaitingPlace> $waiting */
        $waiting = $this->em->createQueryBuilder()
            ->select('w')
            ->from(WaitingPlace::class, 'w')
            ->where('w.type = :type AND w.appointmentId IS NULL AND w.startsAt >= :from AND w.startsAt < :to')
            ->setParameter('type', $wanted->type)->setParameter(
                'from',
                (new \DateTimeImmutable($from, $this->business->zone()))->setTime(0, 0),
                'datetime_immutable',
            )->setParameter('to', (new \DateTimeImmutable($to, $this->business->zone()))->modify('+1 day'), 'datetime_immutable')
            ->orderBy('w.since')->addOrderBy('w.id')->getQuery()->getResult();
        $first = [];
        foreach ($waiting as $place) {
            $first[$place->startsAt->getTimestamp()] ??= $place->begunBy;
        }

        return array_fill_keys(array_keys(array_filter($first, static fn (string $by): bool => $by !== $wanted->begunBy)), true);
    }

    /** Whether somebody has as many in that week as may be. */
    public function isFullWeek(Wanted $wanted, Staff $staff, \DateTimeImmutable $at): bool
    {
        $day = $at->setTimezone($this->business->zone());

        return isset($this->fullWeeks($wanted, $day->format('Y-m-d'), $day->format('Y-m-d'))[$staff->id.' '.$day->format('o-W')]);
    }

    /** @return array<string, true> “id 2026-W14” of whoever has as many in that week as may be */
    private function fullWeeks(Wanted $wanted, string $from, string $to): array
    {
        $limit = $wanted->type->settings()->weekLimit;
        if (null === $limit) {
            return [];
        }
        $counts = [];
        $zone = $this->business->zone();
        foreach ($this->calendars->appointments(
            (new \DateTimeImmutable($from, $zone))->modify('monday this week')->format('Y-m-d'),
            (new \DateTimeImmutable($to, $zone))->modify('sunday this week')->format('Y-m-d'),
            $wanted->but,
        ) as $one) {
            foreach ($one->crew() as $id) {
                $key = $id.' '.$one->startsAt->setTimezone($zone)->format('o-W');
                $counts[$key] = ($counts[$key] ?? 0) + 1;
            }
        }

        return array_fill_keys(array_keys(array_filter($counts, static fn (int $count): bool => $count >= $limit)), true);
    }

    /**
     * @param array<string, Staff> $people
     *
     * @return array<string, Candidate> by id
     */
    private function known(array $people, \DateTimeImmutable $start, ?string $client): array
    {
        $zone = $this->business->zone();
        $monday = $start->setTimezone($zone)->modify('monday this week')->setTime(0, 0);
        $db = $this->em->getConnection();
        $utc = static fn (\DateTimeImmutable $at): string => $at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $earlier = null === $client
            ? null
            : $db->fetchOne(
                "SELECT staff_id FROM appointment WHERE client_id = ? AND state IN ('booked', 'held') AND starts_at < ? ORDER BY starts_at DESC LIMIT 1",
                [$client, $utc($start)],
            );
        $known = [];
        foreach ($people as $id => $one) {
            $last = $db->fetchOne("SELECT MAX(placed_at) FROM appointment WHERE staff_id = ? AND state <> 'cancelled'", [$id]);
            $week = $db->fetchOne(
                "SELECT COUNT(*) FROM appointment WHERE staff_id = ? AND state <> 'cancelled' AND starts_at >= ? AND starts_at < ?",
                [$id, $utc($monday), $utc($monday->modify('+7 days'))],
            );
            $known[$id] = new Candidate($id, $one->name, \is_string($last) ? (int) strtotime("$last UTC") : 0, is_numeric($week) ? (int) $week : 0, $earlier === $id);
        }

        return $known;
    }
}
