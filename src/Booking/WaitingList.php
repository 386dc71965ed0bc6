<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Booking\OntoProject;
use Telamon\Database\Ids;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\Placing;
use Telamon\Diary\TimeTaken;
use Telamon\Diary\WaitingPlace;
use Telamon\Diary\Wanted;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\LookAhead;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Who waits for a place in a group that is full. A place that becomes free is offered to whoever waits longest, for a time; after that to the next. */
final readonly class WaitingList
{
    private const MOST = 50;
    /** An offer that cannot be answered any more is none. */
    private const LEAST_MINUTES = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private FreeTimes $times,
        private Placing $placing,
        private Bookings $bookings,
        private WhoBooks $who,
        private Changes $changes,
        private MessageBusInterface $bus,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * A link waits for one time: what it waited for before is let go of.
     *
     * @param string $zone of the client, IANA; empty for the business's
     *
     * @throws Refusal where there is no such group, where it has a place, or where too many wait
     */
    public function join(Begun $begun, Wanted $wanted, \DateTimeImmutable $start, string $zone): WaitingPlace
    {
        $there = $this->of($begun);
        if (null !== $there && $there->type === $wanted->type && $there->startsAt->getTimestamp() === $start->getTimestamp()) {
            return $there;
        }
        $who = $this->who->of($begun);
        $at = $start->setTimezone($this->business->zone())->format('l j F, H:i');
        $act = Act::of(ChangeKind::Book, "{$who['name']} waits for a place: {$wanted->type->name}, $at")->from($begun->submission?->id);

        return $this->changes->carryOut($act, function () use ($begun, $wanted, $start, $zone, $who): WaitingPlace {
            if (null !== $this->bookings->booked($begun)) {
                throw new TimeTaken('This link has booked a time already. Move that one instead.');
            }
            if (!\in_array(
                $start->getTimestamp(),
                array_map(static fn (\DateTimeImmutable $one): int => $one->getTimestamp(), $this->times->full($wanted, $start, $start)),
                true,
            )) {
                throw new TimeTaken('There is a place: choose that time and book it.');
            }
            if (\count($this->at($wanted->type->id, $start)) >= self::MOST) {
                throw new InvalidInput('at', 'Too many wait for that one already. Choose another time, or ring us.');
            }
            $this->drop($begun);
            $place = new WaitingPlace(
                $begun->id,
                $wanted->type,
                $start,
                $wanted->length,
                mb_substr($wanted->address, 0, 300),
                mb_substr($who['name'], 0, 200),
                mb_substr($who['email'], 0, 254),
                $zone,
                $begun->submission?->id,
                $begun->client?->id,
                $begun->project?->id,
                $this->clock->now(),
            );
            $this->em->persist($place);
            $this->bookings->reached($begun, 'waits', $wanted->type->slug);
            if (null !== $begun->submission) {
                $this->em->refresh($begun->submission);
                $begun->submission->hasMore();
                $this->lookAhead($begun->submission);
            }

            return $place;
        });
    }

    public function leave(Begun $begun): void
    {
        $this->em->wrapInTransaction(fn () => $this->drop($begun));
    }

    /** What a link waits for; null for nothing. */
    public function of(Begun $begun): ?WaitingPlace
    {
        $place = $this->em->getRepository(WaitingPlace::class)->findOneBy(['begunBy' => $begun->id, 'appointmentId' => null]);

        return null !== $place && $place->startsAt > $this->clock->now() ? $place : null;
    }

    /** @return int how many are before it, itself included */
    public function number(WaitingPlace $place): int
    {
        $ids = array_map(static fn (WaitingPlace $one): string => $one->id, $this->at($place->type->id, $place->startsAt));

        return 1 + (int) array_search($place->id, $ids, true);
    }

    /** @return list<WaitingPlace> who waits for a time, whoever waits longest first */
    public function at(string $type, \DateTimeImmutable $start): array
    {
        return $this->em->getRepository(WaitingPlace::class)->findBy(
            ['type' => $type, 'startsAt' => $start->setTimezone(new \DateTimeZone('UTC')), 'appointmentId' => null],
            ['since' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** Somebody in the office takes them off the list. @throws Refusal */
    public function takeOff(string $id, Staff $by): void
    {
        $place = $this->em->find(WaitingPlace::class, $id);
        if (null !== $place && null === $place->appointmentId) {
            $this->changes->carryOut(Act::of(
                ChangeKind::Edit,
                "took {$place->who} off the waiting list of {$place->type->name}",
                $by,
            )->from($place->submissionId), function () use ($place): void {
                $this->em->remove($place);
            });
        }
    }

    /** @return list<string> ids of whoever waits longest for a place that has become free: one for each time, what is free after it is found with the next look */
    public function toOffer(): array
    {
        /** @var list<WaitingPlace> $waiting */
        $waiting = $this->em->createQueryBuilder()->select('w')->from(WaitingPlace::class, 'w')->where('w.appointmentId IS NULL AND w.startsAt > :soon')
            ->setParameter(
                'soon',
                $this->clock->now()->modify('+'.self::LEAST_MINUTES.' minutes'),
                'datetime_immutable',
            )->orderBy('w.since')->addOrderBy('w.id')->setMaxResults(500)->getQuery()->getResult();
        $asked = [];
        foreach ($waiting as $place) {
            $key = "{$place->type->id} {$place->startsAt->getTimestamp()} {$place->minutes}";
            $asked[$key] ??= [] === ($this->times->at($this->wanted($place), $place->startsAt) ?? []) ? '' : $place->id;
        }

        return array_values(array_filter($asked, static fn (string $id): bool => '' !== $id));
    }

    public function offerNext(string $id): void
    {
        $place = $this->em->find(WaitingPlace::class, $id);
        if (null !== $place && null === $place->appointmentId) {
            $this->offer($place);
        }
    }

    private function offer(WaitingPlace $place): void
    {
        $act = Act::of(ChangeKind::Book, "offered {$place->who} the place that became free: {$place->type->name}")->from($place->submissionId);
        try {
            $this->changes->carryOut($act, function () use ($place): void {
                // Looked at again under the write lock: another worker may have offered it, or they wait no longer.
                if (false === $this->em->getConnection()->fetchOne('SELECT 1 FROM waiting_place WHERE id = ? AND appointment_id IS NULL', [$place->id])) {
                    return;
                }
                $submission = null === $place->submissionId ? null : $this->em->find(Submission::class, $place->submissionId);
                $client = $submission->client ?? (null === $place->clientId ? null : $this->em->find(Client::class, $place->clientId));
                $project = $submission->project ?? (null === $place->projectId ? null : $this->em->find(Project::class, $place->projectId));
                $appointment = $this->placing->place(Ids::next(), $this->wanted($place), $place->startsAt, $client->mergedInto ?? $client, $project);
                $appointment->bookedBy($place->who, $place->email, $place->zone, $place->submissionId);
                $hours = $place->type->settings()->waitHours;
                $appointment->offer(min($this->clock->now()->modify("+$hours hours"), $place->startsAt));
                $place->isOffered($appointment->id);
                $this->bookings->reached(new Begun($place->begunBy, $submission, $client, $project), 'offered', $place->type->slug, $appointment->id);
                $this->em->flush();
                $this->bus->dispatch(new TellClient($appointment->id));
            });
        } catch (TimeTaken) {
            // Somebody was quicker: they wait on.
        }
    }

    /** What was offered is booked: its plan has a time now. Call it inside a change. */
    public function taken(Appointment $appointment): void
    {
        $submission = null === $appointment->submissionId || AppointmentState::Booked !== $appointment->state
            ? null
            : $this->em->find(Submission::class, $appointment->submissionId);
        $place = $this->em->getRepository(WaitingPlace::class)->findOneBy(['appointmentId' => $appointment->id]);
        if (null !== $place) {
            $this->bookings->reached(new Begun($place->begunBy, $submission, $appointment->client, $appointment->project), 'booked', $place->type->slug, $appointment->id);
        }
        if (null !== $submission && null === $appointment->client) {
            if (SubmissionState::Accepted === $submission->state) {
                $appointment->isFor($submission->client, OntoProject::None === $appointment->type?->settings()->onto ? null : $submission->project);
            }
            $this->lookAhead($submission);
        }
    }

    private function lookAhead(Submission $submission): void
    {
        if (SubmissionState::Waiting === $submission->state) {
            $this->bus->dispatch(new LookAhead($submission->id));
        }
    }

    private function drop(Begun $begun): void
    {
        $this->em->createQueryBuilder()->delete(WaitingPlace::class, 'w')->where('w.begunBy = :mine')->setParameter('mine', $begun->id)->getQuery()->execute();
    }

    private function wanted(WaitingPlace $place): Wanted
    {
        return new Wanted($place->type, $place->minutes, $place->address, begunBy: $place->begunBy, notice: 0);
    }
}
