<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Clients\ContactKind;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\AppointmentTold;
use Telamon\Diary\CalendarFeed;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** The diary as calendar files: to subscribe to, to take out, to bring in. */
final readonly class FeedController
{
    public function __construct(
        private EntityManagerInterface $em,
        private Invitation $invitation,
        private TasksAsTodos $todos,
        private CalendarImport $import,
        private Viewer $viewer,
        private Profile $business,
        private Records $records,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/api/public/calendars/{token}', requirements: ['token' => '[0-9a-f]{48}\.ics'], methods: ['GET'])]
    public function feed(string $token): Response
    {
        $feed = $this->em->find(CalendarFeed::class, substr($token, 0, 48)) ?? throw Problem::notFound('calendar');
        if (!$feed->isAlive()) {
            throw Problem::notFound('calendar');
        }

        return $this->calendar($feed->staff, '-60 days', '+400 days', $feed->staff->name ?? $this->business->business()->name);
    }

    #[Route('/api/diary/feeds', methods: ['POST'])]
    #[IsGranted(Permission::Work->value)]
    public function renew(Request $request, #[CurrentUser] Staff $by): Response
    {
        $id = JsonBody::text(JsonBody::read($request), 'staff', 36);
        // Whoever does not keep the diary means their own.
        $of = '' === $id
            ? ($this->viewer->may(Permission::KeepDiary) ? null : $by)
            : $this->em->find(Staff::class, $id) ?? throw Problem::invalid('staff', 'Choose whose calendar it is.');
        if ($of !== $by && !$this->viewer->may(Permission::KeepDiary)) {
            throw new Problem(403, 'Not yours', 'You may only have your own calendar.');
        }
        $feed = new CalendarFeed(bin2hex(random_bytes(24)), $of, $this->clock->now(), $by);
        $this->em->wrapInTransaction(function () use ($of, $feed): void {
            foreach ($this->em->getRepository(CalendarFeed::class)->findBy(['staff' => $of]) as $old) {
                $this->em->remove($old);
            }
            $this->em->persist($feed);
        });

        return new JsonResponse(['path' => "/api/public/calendars/{$feed->id}.ics"], 201);
    }

    #[Route('/api/diary/export', methods: ['GET'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function export(): Response
    {
        $response = $this->calendar(null, '-366 days', '+732 days', $this->business->business()->name);
        $response->headers->set('Content-Disposition', 'attachment; filename="diary.ics"');

        return $response;
    }

    #[Route('/api/diary/import', methods: ['POST'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function import(Request $request, #[CurrentUser] Staff $by): Response
    {
        $body = JsonBody::read($request);
        $file = $body['file'] ?? null;
        $of = $this->em->find(Staff::class, JsonBody::text($body, 'staff', 36));
        if (null === $of || !$of->active) {
            throw Problem::invalid('staff', 'Choose whose diary it goes into.');
        }
        $done = $this->import->run(\is_string($file) ? $file : '', $of, false !== ($body['dry'] ?? true), $by);

        return new JsonResponse(['change' => $done['change']?->toArray($this->business->zone(), $this->records)] + $done);
    }

    /** One's own open tasks as a file; the address of one's calendar has them too. */
    #[Route('/api/tasks/export', methods: ['GET'], priority: 1)]
    #[IsGranted(Permission::Work->value)]
    public function tasks(#[CurrentUser] Staff $of): Response
    {
        $calendar = $this->invitation->calendar('PUBLISH', $of->name);
        $this->todos->add($calendar, $of);

        return new Response(
            $calendar->serialize(),
            200,
            ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="tasks.ics"', 'Cache-Control' => 'private, no-store'],
        );
    }

    private function calendar(?Staff $of, string $since, string $until, string $name): Response
    {
        $now = $this->clock->now();
        $query = $this->em->createQueryBuilder()->select('a', 't', 'c')->from(Appointment::class, 'a')->leftJoin('a.type', 't')->leftJoin('a.client', 'c')
            ->where('a.startsAt >= :since AND a.startsAt < :until AND a.state <> :gone')->orderBy('a.startsAt')
            ->setParameter('since', $now->modify($since), 'datetime_immutable')->setParameter('until', $now->modify($until), 'datetime_immutable')->setParameter('gone', AppointmentState::Cancelled->value);
        $calendar = $this->invitation->calendar('PUBLISH', $name);
        /** @var list<Appointment> $found */
        $found = $query->getQuery()->getResult();
        foreach ($found as $one) {
            if ($one->stands($now) && (null === $of || \in_array($of->id, $one->crew(), true))) {
                $phone = $one->client?->first(ContactKind::Phone) ?? '';
                $this->invitation->add(
                    $calendar,
                    $one,
                    $this->em->find(AppointmentTold::class, $one->id)->sequence ?? 0,
                    notes: trim(('' === $phone ? '' : 'Ring '.$this->business->phoneReader()->format($phone)."\n").$one->notes."\n"),
                );
            }
        }

        if (null !== $of) {
            $this->todos->add($calendar, $of);
        }

        return new Response($calendar->serialize(), 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, no-store', 'X-Robots-Tag' => 'noindex']);
    }
}
