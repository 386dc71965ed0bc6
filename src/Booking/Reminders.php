<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\ReminderSent;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

/** Reminds of appointments at their time, once each: of those that stand then, at the time at which they stand. */
final readonly class Reminders
{
    private const DAYS = 31;

    public function __construct(private EntityManagerInterface $em, private AppointmentMails $mails, private Changes $changes, private ClockInterface $clock)
    {
    }

    /** @return int how many were queued */
    public function send(): int
    {
        $now = $this->clock->now();
        /** @var list<Appointment> $coming */
        $coming = $this->em->createQueryBuilder()->select('a', 't')->from(Appointment::class, 'a')->join('a.type', 't')
            ->where('a.state = :booked AND a.startsAt > :now AND a.startsAt <= :until')
            ->setParameter('booked', AppointmentState::Booked->value)->setParameter('now', $now, 'datetime_immutable')->setParameter('until', $now->modify('+'.self::DAYS.' days'), 'datetime_immutable')
            ->orderBy('a.startsAt')->getQuery()->getResult();
        $sent = 0;
        foreach ($coming as $appointment) {
            foreach ($appointment->type?->settings()->reminders ?? [] as $reminder) {
                $due = $appointment->startsAt->modify("-{$reminder->minutes} minutes");
                // Whoever booked later than that was told just then.
                if ($due <= $now && $due > $appointment->placedAt && $this->remind($appointment, $reminder->minutes, $reminder->template)) {
                    ++$sent;
                }
            }
        }

        return $sent;
    }

    private function remind(Appointment $appointment, int $minutes, string $template): bool
    {
        $at = $appointment->startsAt->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        if ($this->isSent($appointment, $minutes, $at)) {
            return false;
        }
        $change = new Change(ChangeKind::Send, mb_substr("reminded {$appointment->with()} of {$appointment->title}", 0, 300), null, $this->clock->now(), $appointment->submissionId, 'appointment', $appointment->id, $appointment->recordLabel());

        return $this->changes->carryOut($change, function () use ($appointment, $minutes, $template, $at): bool {
            $before = $appointment->startsAt;
            // Looked at again under the write lock: it may have gone, moved or been reminded of.
            $this->em->refresh($appointment);
            if (AppointmentState::Booked !== $appointment->state || $appointment->startsAt->getTimestamp() !== $before->getTimestamp() || $this->isSent($appointment, $minutes, $at)) {
                return false;
            }
            $this->em->persist(new ReminderSent($appointment->id, $minutes, $at));

            return null !== $this->mails->toClient($appointment, $template);
        });
    }

    /** @phpstan-impure another process may have sent it meanwhile */
    private function isSent(Appointment $appointment, int $minutes, string $at): bool
    {
        return false !== $this->em->getConnection()->fetchOne('SELECT 1 FROM reminder_sent WHERE appointment_id = ? AND minutes = ? AND starts_at = ?', [$appointment->id, $minutes, $at]);
    }
}
