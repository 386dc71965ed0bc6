<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Clients\Client;
use Telamon\Core\Booking\OntoProject;
use Telamon\Database\Ids;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentEvent;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\BookingStart;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\Placing;
use Telamon\Diary\TimeHeld;
use Telamon\Diary\TimeTaken;
use Telamon\Diary\Wanted;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Planning\LookAheadHandler;
use Telamon\Projects\Project;
use Telamon\Refusal\Refusal;
use Telamon\Submissions\LookAhead;
use Telamon\Submissions\SubmissionState;
use Telamon\Tasks\ProjectOpening;

/** Holds a time that somebody chose, and books it. Everything is looked at again under the write lock. */
final readonly class Bookings
{
    public function __construct(
        private EntityManagerInterface $em,
        private FreeTimes $times,
        private Placing $placing,
        private WhoBooks $who,
        private ProjectOpening $projects,
        private Changes $changes,
        private MessageBusInterface $bus,
        private LookAheadHandler $ahead,
        private OpenBookings $open,
        private LoggerInterface $logger,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Nobody else gets the time for ten minutes. What the same link held before is let go of.
     *
     * @throws Refusal where it is not free
     */
    public function hold(Begun $begun, Wanted $wanted, \DateTimeImmutable $start): TimeHeld
    {
        return $this->em->wrapInTransaction(function () use ($begun, $wanted, $start): TimeHeld {
            $this->refuseBooked($begun);
            $crews = $this->times->at($wanted, $start) ?? throw $this->gone();
            $crew = $this->times->choose($wanted->type, $crews, $start, $begun->client?->id);
            $this->em->createQueryBuilder()
                ->delete(TimeHeld::class, 'h')
                ->where('h.begunBy = :mine OR h.until < :now')
                ->setParameter('mine', $begun->id)
                ->setParameter('now', $this->clock->now()->modify('-1 hour'), 'datetime_immutable')
                ->getQuery()
                ->execute();
            $settings = $wanted->type->settings();
            $ids = array_map(static fn ($one): string => $one->id, $crew);
            $held = new TimeHeld(
                $begun->id,
                $wanted->type,
                [] === $ids ? throw new \LogicException('somebody holds it') : $ids,
                $settings->resources,
                $settings->place->isOnTheRoad() ? mb_substr($wanted->address, 0, 300) : '',
                $start,
                $start->modify("+{$wanted->length} minutes"),
                $settings->clearBefore,
                $settings->clearAfter,
                $this->clock->now(),
            );
            $this->em->persist($held);
            $this->reached($begun, 'held', $wanted->type->slug);
            $this->em->flush();

            return $held;
        });
    }

    /** @throws Refusal where nothing is held, or it was kept as often as may be */
    public function keepLonger(Begun $begun): TimeHeld
    {
        return $this->em->wrapInTransaction(function () use ($begun): TimeHeld {
            $held = $this->held($begun) ?? throw $this->gone();
            if (!$held->keepLonger($this->clock->now())) {
                throw new TimeTaken('It was kept three times already. Book it, or choose again when you are ready.');
            }
            $this->em->flush();

            return $held;
        });
    }

    public function held(Begun $begun): ?TimeHeld
    {
        $held = $this->em->getRepository(TimeHeld::class)->findOneBy(['begunBy' => $begun->id]);

        return null !== $held && $held->until > $this->clock->now() ? $held : null;
    }

    /** What was booked under the link; null for nothing yet. */
    public function booked(Begun $begun): ?Appointment
    {
        $id = $this->em->find(BookingStart::class, $begun->id)?->appointmentId;
        $appointment = null === $id ? null : $this->em->find(Appointment::class, $id);

        return null === $appointment || !$appointment->state->stands() ? null : $appointment;
    }

    /**
     * Books the time that is held. A link books once: the second time it is told what the first one booked.
     *
     * @param string $zone of the client, IANA; empty for the business's
     *
     * @throws Refusal where the time is gone
     */
    public function book(Begun $begun, Wanted $wanted, \DateTimeImmutable $start, string $zone): Appointment
    {
        $there = $this->booked($begun);
        if (null !== $there) {
            return $there;
        }
        $who = $this->who->of($begun);
        $act = Act::of(ChangeKind::Book, "{$who['name']} booked {$wanted->type->name}")->from($begun->submission?->id);

        $appointment = $this->changes->carryOut($act, function () use ($begun, $wanted, $start, $zone, $who): Appointment {
            $there = $this->booked($begun);
            if (null !== $there) {
                return $there;
            }
            $held = $this->held($begun);
            $with = null !== $held && $held->startsAt->getTimestamp() === $start->getTimestamp() && 1 === \count($held->staff) ? $held->staff[0] : $wanted->with;
            try {
                $appointment = $this->placing->place(
                    Ids::next(),
                    new Wanted($wanted->type, $wanted->length, $wanted->address, $with, begunBy: $begun->id, notice: 0),
                    $start,
                    $begun->client,
                    $this->projectOf($begun, $wanted),
                );
            } catch (TimeTaken) {
                throw $this->gone();
            }
            $appointment->bookedBy($who['name'], $who['email'], $zone, $begun->submission?->id);
            $appointment->isRungAt($who['phone']);
            $this->em->createQueryBuilder()->delete(TimeHeld::class, 'h')->where('h.begunBy = :mine')->setParameter('mine', $begun->id)->getQuery()->execute();
            $this->reached($begun, 'booked', $wanted->type->slug, $appointment->id);
            $submission = $begun->submission;
            if (null !== $submission) {
                $this->em->refresh($submission);
                $submission->hasMore();
                if (SubmissionState::SetAside === $submission->state) {
                    // Whoever has a confirmation in their hands is not out of the way.
                    $submission->putBack();
                }
                $kept = $this->open->areMany($appointment, $submission);
                if ($kept) {
                    // It is kept for a while, and stands once the link that is mailed says yes; only then its plan is carried out.
                    $appointment->offer(min($this->clock->now()->modify('+24 hours'), $appointment->startsAt));
                } elseif (SubmissionState::Waiting === $submission->state) {
                    // The plan takes it onto a client and a project: by itself, where nothing in it is open.
                    $this->bus->dispatch(new LookAhead($submission->id));
                } else {
                    $appointment->isFor($submission->client, OntoProject::None === $wanted->type->settings()->onto ? null : $submission->project);
                }
            }
            if ($appointment->heldUntil instanceof \DateTimeImmutable) {
                $this->em->flush();
            } else {
                $this->placing->happened($appointment, AppointmentEvent::Booked);
            }
            $this->bus->dispatch(new TellClient($appointment->id));

            return $appointment;
        });
        if (AppointmentState::Booked === $appointment->state) {
            $this->landAtOnce($begun);
        }

        return $appointment;
    }

    /** Its plan is carried out now, where nothing in it is open; whatever keeps it from that, the worker comes to it again. */
    private function landAtOnce(Begun $begun): void
    {
        if (null !== $begun->submission) {
            try {
                ($this->ahead)(new LookAhead($begun->submission->id));
            } catch (\Throwable $error) {
                $this->logger->warning('A booking waits for the worker to be taken onto a client.', ['exception' => $error]);
            }
        }
    }

    /** Notes how far somebody came. Call it inside a transaction. */
    public function reached(Begun $begun, string $step, string $type = '', ?string $appointment = null, string $page = '', int $offers = 0): void
    {
        $start = $this->em->find(BookingStart::class, $begun->id);
        if (null === $start) {
            $start = new BookingStart($begun->id, $page, $begun->submission?->id, $this->clock->now());
            $this->em->persist($start);
        }
        $start->reach($step);
        $start->type = '' === $type ? $start->type : $type;
        $start->offers = max($start->offers, $offers);
        $start->appointmentId = $appointment ?? $start->appointmentId;
    }

    /** The project that a known client's booking belongs to; null where that is for a plan, or for nobody, to say. */
    private function projectOf(Begun $begun, Wanted $wanted): ?Project
    {
        $settings = $wanted->type->settings();
        if (null !== $begun->project || null === $begun->client || OntoProject::None === $settings->onto || OntoProject::Asks === $settings->onto) {
            return $begun->project;
        }
        $open = OntoProject::Opens === $settings->onto
            ? null
            : $this->em->getRepository(Project::class)->findOneBy(
                ['client' => $begun->client, 'closedAt' => null] + ('' === $settings->service ? [] : ['service' => $settings->service]),
                ['openedAt' => 'DESC'],
            );

        return $open ?? $this->opened($begun->client, $wanted);
    }

    private function opened(Client $client, Wanted $wanted): Project
    {
        return $this->projects->begin($client, $wanted->type->settings()->service, $wanted->type->name);
    }

    private function refuseBooked(Begun $begun): void
    {
        if (null !== $this->booked($begun)) {
            throw new TimeTaken('This link has booked a time already. Move that one instead.');
        }
    }

    private function gone(): TimeTaken
    {
        return new TimeTaken('It has just gone. Choose another one.');
    }
}
