<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Arrivals\ArrivalsOfDay;
use Telamon\Business\Profile;
use Telamon\Diary\Appointment;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[IsGranted(Permission::Work->value)]
final readonly class DayController
{
    public function __construct(
        private EntityManagerInterface $em,
        private ArrivalsOfDay $arrivals,
        private Profile $business,
        private ClockInterface $clock,
        private Viewer $viewer,
    ) {
    }

    #[Route('/api/day', methods: ['GET'])]
    public function show(#[CurrentUser] Staff $staff): Response
    {
        $zone = $this->business->zone();
        $now = $this->clock->now()->setTimezone($zone);
        $from = $now->setTime(0, 0);
        $to = $from->modify('+1 day');
        /** @var list<Appointment> $appointments */
        $appointments = $this->em->createQueryBuilder()->select('a', 's')->from(Appointment::class, 'a')->join('a.staff', 's')
            ->where('a.startsAt >= :from')->andWhere('a.startsAt < :to')
            ->setParameter('from', $from, 'datetime_immutable')->setParameter('to', $to, 'datetime_immutable')
            ->orderBy('a.startsAt')->addOrderBy('a.id')->setMaxResults(100)->getQuery()->getResult();
        // What is cancelled, or was offered and is over, takes nobody's time.
        $appointments = array_values(array_filter($appointments, static fn (Appointment $a): bool => $a->stands($now)));
        $decides = $this->viewer->may(Permission::Decide);
        if (!$this->viewer->may(Permission::SeeAll)) {
            $appointments = array_values(array_filter($appointments, static fn (Appointment $a): bool => $a->staff === $staff));
        }

        return new JsonResponse([
            'now' => $now->format(\DATE_RFC3339),
            'day' => $now->format('Y-m-d'),
            'toAnswer' => $decides ? $this->arrivals->waiting() : 0,
            'appointments' => array_map(static fn (Appointment $a): array => [
                'id' => $a->id, 'title' => $a->title, 'place' => $a->place, 'staff' => $a->staff->name, 'initials' => $a->staff->initials,
                'startsAt' => $a->startsAt->setTimezone($zone)->format(\DATE_RFC3339),
                'endsAt' => $a->endsAt->setTimezone($zone)->format(\DATE_RFC3339),
                'state' => $a->stateAt($now), 'projectId' => $a->project?->id,
            ], $appointments),
            'arrivals' => $decides ? $this->arrivals->between($from, $to, $zone) : [],
        ]);
    }
}
