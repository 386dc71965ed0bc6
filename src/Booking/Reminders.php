<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\ReminderSent;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\DueWork;

/** Reminds of appointments at their time, once each: of those that stand then, at the time at which they stand. */
final readonly class Reminders implements DueWork
{
    private const DAYS = 31;

    public function __construct(private EntityManagerInterface $em, private AppointmentMails $mails, private Changes $changes, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'reminders';
    }

    public function words(): string
    {
        return 'Clients are reminded of visits';
    }

    public function every(): int
    {
        return 10;
    }

    /** @return list<string> visit, minutes before it, its time in UTC */
    public function due(): array
    {
        $now = $this->clock->now();
        /** @var list<Appointment> $coming */
        $coming = $this->em->createQueryBuilder()->select('a', 't')->from(Appointment::class, 'a')->join('a.type', 't')
            ->where('a.state = :booked AND a.startsAt > :now AND a.startsAt <= :until')
            ->setParameter('booked', AppointmentState::Booked->value)->setParameter('now', $now, 'datetime_immutable')->setParameter(
                'until',
                $now->modify('+'.self::DAYS.' days'),
                'datetime_immutable',
            )
            ->orderBy('a.startsAt')->addOrderBy('a.id')->getQuery()->getResult();
        $due = [];
        foreach ($coming as $appointment) {
            foreach ($this->dueOf($appointment, $now) as $minutes => $template) {
                if (!$this->isSent($appointment, $minutes)) {
                    $due[] = "{$appointment->id} $minutes {$this->at($appointment)}";
                }
            }
        }

        return $due;
    }

    public function carryOut(string $key): void
    {
        [$id, $minutes, $at] = explode(' ', $key, 3);
        $minutes = (int) $minutes;
        $appointment = $this->em->find(Appointment::class, $id);
        if (null === $appointment) {
            return;
        }
        $act = Act::of(ChangeKind::Send, "reminded {$appointment->with()} of {$appointment->title}")->from($appointment->submissionId)->about($appointment)->looking($appointment);
        $this->changes->carryOut($act, function () use ($appointment, $minutes, $at): void {
            // Looked at again under the write lock: it may have gone, moved or been reminded of, and its kind may say otherwise.
            $template = $this->dueOf($appointment, $this->clock->now())[$minutes] ?? null;
            if (null === $template || AppointmentState::Booked !== $appointment->state || $this->at($appointment) !== $at || $this->isSent($appointment, $minutes)) {
                return;
            }
            $this->em->persist(new ReminderSent($appointment->id, $minutes, $at));
            $this->mails->toClient($appointment, $template);
        });
    }

    /** @return array<int, string> key of the text by minutes before */
    private function dueOf(Appointment $appointment, \DateTimeImmutable $now): array
    {
        $due = [];
        foreach ($appointment->type?->settings()->reminders ?? [] as $reminder) {
            $at = $appointment->startsAt->modify("-{$reminder->minutes} minutes");
            // Whoever booked later than that was told just then.
            if ($at <= $now && $at > $appointment->placedAt) {
                $due[$reminder->minutes] = $reminder->template;
            }
        }

        return $due;
    }

    private function at(Appointment $appointment): string
    {
        return $appointment->startsAt->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
    }

    /** @phpstan-impure another process may have sent it meanwhile */
    private function isSent(Appointment $appointment, int $minutes): bool
    {
        return false !== $this->em->getConnection()->fetchOne(
            'SELECT 1 FROM reminder_sent WHERE appointment_id = ? AND minutes = ? AND starts_at = ?',
            [$appointment->id, $minutes, $this->at($appointment)],
        );
    }
}
