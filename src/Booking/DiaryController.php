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
use Telamon\Database\Ids;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Journal\Change;
use Telamon\Record\Edit;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** The diary: what stands in it, and placing, moving and marking by hand. Field staff see and mark what is theirs. */
#[IsGranted(Permission::Work->value)]
final readonly class DiaryController
{
    private const MOST_DAYS = 45;
    private const MOST = 200;
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private DiaryView $diary,
        private AppointmentView $view,
        private ByHand $hand,
        private GoodTimesFinder $good,
        private WaitingList $waiting,
        private Viewer $viewer,
        private Profile $business,
        private Records $records,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/api/diary', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Staff $staff): Response
    {
        [$from, $to] = [self::day($request, 'from'), self::day($request, 'to')];
        $days = (new \DateTimeImmutable($from))->diff(new \DateTimeImmutable($to));
        if (1 === $days->invert || $days->days >= self::MOST_DAYS) {
            throw Problem::invalid('to', 'Ask for '.self::MOST_DAYS.' days at most, the first before the last.');
        }

        return new JsonResponse($this->diary->show($from, $to, $this->viewer->may(Permission::SeeAll) ? null : $staff));
    }

    #[Route('/api/diary/good-times', methods: ['GET'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function goodTimes(Request $request): Response
    {
        return new JsonResponse(
            $this->good->find(new Edit(['length' => '' === $request->query->getString('length') ? null : $request->query->getInt('length')] + $request->query->all())),
        );
    }

    #[Route('/api/appointments', methods: ['GET'])]
    public function list(Request $request): Response
    {
        $query = $this->em->createQueryBuilder()->select('a', 's')->from(Appointment::class, 'a')->join('a.staff', 's')->orderBy('a.startsAt', 'DESC')->setMaxResults(self::MOST);
        $asked = false;
        foreach (['client' => 'a.client', 'project' => 'a.project', 'submission' => 'a.submissionId'] as $of => $column) {
            $id = Query::id($request, $of);
            if (null !== $id) {
                $query->andWhere("$column = :$of")->setParameter($of, $id);
                $asked = true;
            }
        }
        if (!$asked) {
            throw Problem::invalid('client', 'Ask for a client, a project or a submission.');
        }
        /** @var list<Appointment> $found */
        $found = $query->getQuery()->getResult();
        $more = self::MOST === \count($found);
        $found = array_values(array_filter($found, $this->isSeen(...)));
        $now = $this->clock->now();
        $coming = array_reverse(array_values(array_filter($found, static fn (Appointment $one): bool => $one->endsAt >= $now && $one->state->stands())));
        $over = array_values(array_filter($found, static fn (Appointment $one): bool => !\in_array($one, $coming, true)));

        return new JsonResponse(['items' => array_map($this->view->show(...), [...$coming, ...$over]), 'more' => $more]);
    }

    #[Route('/api/appointments', methods: ['POST'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function place(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $key = IdempotencyKey::of($request);

        return $this->answer($this->hand->place(null === $key ? Ids::next() : Ids::named('appointment', $key), new Edit(JsonBody::read($request)), $staff), 201);
    }

    #[Route('/api/appointments/check', methods: ['POST'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function check(Request $request): Response
    {
        return new JsonResponse($this->hand->check(new Edit(JsonBody::read($request))));
    }

    #[Route('/api/appointments/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function one(string $id): Response
    {
        return new JsonResponse($this->view->show($this->appointment($id), answers: true));
    }

    #[Route('/api/appointments/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->answer($this->hand->edit($this->appointment($id), new Edit(JsonBody::read($request)), $staff));
    }

    #[Route('/api/appointments/{id}/state', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function mark(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $state = AppointmentState::tryFrom(JsonBody::text(JsonBody::read($request), 'state', 10));
        if (null === $state || AppointmentState::Offered === $state) {
            throw Problem::invalid('state', 'Choose booked, held, missed or cancelled.');
        }
        $appointment = $this->appointment($id);
        // Whoever was there says whether it took place; the diary itself is the coordinator's.
        if (
            !$this->viewer->may(Permission::KeepDiary)
            && (!\in_array($staff->id, $appointment->crew(), true) || !\in_array($state, [AppointmentState::Held, AppointmentState::Missed], true))
        ) {
            throw new Problem(403, 'Not yours', 'Only whoever keeps the diary can do that.');
        }

        return $this->answer($this->hand->mark($appointment, $state, $staff));
    }

    #[Route('/api/diary/waiting/{id}', requirements: ['id' => self::ID], methods: ['DELETE'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function takeOff(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->waiting->takeOff($id, $staff);

        return new Response(status: 204);
    }

    private function appointment(string $id): Appointment
    {
        $appointment = $this->em->find(Appointment::class, $id) ?? throw Problem::notFound('appointment');

        return $this->isSeen($appointment) ? $appointment : throw Problem::notFound('appointment');
    }

    private function isSeen(Appointment $appointment): bool
    {
        return $this->viewer->may(Permission::SeeAll) || $this->viewer->sees($appointment) || $this->viewer->isOneOf($appointment->crew());
    }

    /** @param array{Appointment, Change, list<string>} $done */
    private function answer(array $done, int $status = 200): Response
    {
        [$appointment, $change, $skipped] = $done;

        return new JsonResponse(
            ['appointment' => $this->view->show($appointment), 'change' => $change->toArray($this->business->zone(), $this->records), 'skipped' => $skipped],
            $status,
        );
    }

    private static function day(Request $request, string $key): string
    {
        $day = $request->query->getString($key);

        return 1 === preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $day, $m) && checkdate((int) $m[2], (int) $m[3], (int) $m[1])
            ? $day
            : throw Problem::invalid($key, 'Write a day like 2026-12-01.');
    }
}
