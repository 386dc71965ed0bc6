<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\AppointmentTold;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

/**
 * Tells the client how an appointment stands, where that differs from what they were told last: what was told is kept
 * in the transaction that queues the mail, so that nothing is told twice and nothing is forgotten.
 */
#[AsMessageHandler]
final readonly class TellClientHandler
{
    public function __construct(
        private EntityManagerInterface $em,
        private AppointmentMails $mails,
        private Invitation $invitation,
        private BookingLinks $links,
        private Changes $changes,
        private ClockInterface $clock,
    ) {
    }

    public function __invoke(TellClient $command): void
    {
        $appointment = $this->em->find(Appointment::class, $command->appointmentId);
        if (null === $appointment) {
            return;
        }
        $act = Act::of(ChangeKind::Send, "told {$appointment->with()} of {$appointment->title}")->from($appointment->submissionId)->about($appointment);
        $this->changes->carryOut($act, fn () => $this->tell($appointment));
    }

    /** Whether there is something new to tell, and a way to them. */
    public function hasNews(string $id): bool
    {
        $appointment = $this->em->find(Appointment::class, $id);

        return null !== $appointment && null !== $this->news($appointment);
    }

    /** @return string|null key of the text */
    private function news(Appointment $appointment): ?string
    {
        $template = $this->template($appointment, $this->em->find(AppointmentTold::class, $appointment->id), self::digest($appointment));

        return null === $template || $appointment->startsAt < $this->clock->now() || !$this->mails->reaches($appointment, $template) ? null : $template;
    }

    private function tell(Appointment $appointment): void
    {
        $this->em->refresh($appointment);
        $told = $this->em->find(AppointmentTold::class, $appointment->id);
        $digest = self::digest($appointment);
        $template = $this->news($appointment);
        if (null === $template) {
            return;
        }
        $series = 'booked' === $template && null === $told ? $this->untold($appointment) : [];
        // Where nothing tells them of all at once, each visit is told of.
        if (\count($series) > 1 && $this->mails->reaches($appointment, 'series')) {
            $message = $this->mails->ofSeries($series);
            if (true === $message?->channel->takesFiles()) {
                $message->enclose($this->invitation->ofSeries($series, $this->links->visitAddress(...)));
            }
            foreach ($series as $one) {
                $this->em->persist(new AppointmentTold($one->id, $one->state, self::digest($one), 0, $one->startsAt));
            }

            return;
        }
        $sequence = null === $told ? 0 : $told->sequence + 1;
        $message = $this->mails->toClient($appointment, $template);
        // A text carries no file; where it leads is in its words.
        if ('offered' !== $template && true === $message?->channel->takesFiles()) {
            $message->enclose($this->invitation->make(
                $appointment,
                AppointmentState::Cancelled === $appointment->state ? 'CANCEL' : 'REQUEST',
                $sequence,
                $this->mails->address($appointment),
                $this->links->visitAddress($appointment),
            ));
        }
        if (null === $told) {
            $this->em->persist(new AppointmentTold($appointment->id, $appointment->state, $digest, $sequence, $appointment->startsAt));
        } else {
            $told->say($appointment->state, $digest, $sequence, $appointment->startsAt);
        }
    }

    /** @return list<Appointment> those of its series that the client has not heard of, in order of time; none where it is of no series */
    private function untold(Appointment $appointment): array
    {
        if (null === $appointment->seriesId) {
            return [];
        }
        /** @var list<Appointment> $found */
        $found = $this->em->createQueryBuilder()->select('a')->from(Appointment::class, 'a')->leftJoin(AppointmentTold::class, 't', 'WITH', 't.appointmentId = a.id')
            ->where('a.seriesId = :series AND a.state = :booked AND a.startsAt > :now AND t.appointmentId IS NULL')
            ->setParameter('series', $appointment->seriesId)->setParameter('booked', AppointmentState::Booked->value)->setParameter('now', $this->clock->now(), 'datetime_immutable')->orderBy('a.startsAt')->getQuery()->getResult();

        return $found;
    }

    /** @return string|null key of the text; null where there is nothing new */
    private function template(Appointment $appointment, ?AppointmentTold $told, string $digest): ?string
    {
        $before = $told?->state;

        return match ($appointment->state) {
            AppointmentState::Offered => AppointmentState::Offered === $before && $told->digest === $digest ? null : 'offered',
            AppointmentState::Booked => AppointmentState::Booked === $before ? ($told->digest === $digest ? null : 'moved') : 'booked',
            AppointmentState::Cancelled => null === $before || AppointmentState::Cancelled === $before ? null : 'cancelled',
            AppointmentState::Held, AppointmentState::Missed => null,
        };
    }

    private static function digest(Appointment $appointment): string
    {
        return hash(
            'sha256',
            json_encode(
                [$appointment->startsAt->getTimestamp(), $appointment->endsAt->getTimestamp(), $appointment->place, $appointment->title, $appointment->crew()],
                \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE,
            ),
        );
    }
}
