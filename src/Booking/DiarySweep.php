<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\BusyCalendar;
use Telamon\Diary\Placing;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\Every;

/** While the worker runs, every few seconds: reminders, offers that are over, and clients who were told something that no longer holds. */
#[AsEventListener]
final class DiarySweep
{
    private const SECONDS = 10;
    private readonly Every $every;

    public function __construct(private readonly Reminders $reminders, private readonly OtherCalendars $calendars, private readonly WaitingList $waiting, private readonly EntityManagerInterface $em, private readonly Connection $db, private readonly Placing $placing, private readonly Changes $changes, private readonly MessageBusInterface $bus, private readonly ClockInterface $clock)
    {
        $this->every = new Every(self::SECONDS);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue($this->clock->now())) {
            $this->sweep();
        }
    }

    public function sweep(): void
    {
        $this->lapse();
        $this->waiting->moveUp();
        $this->tell();
        $this->reminders->send();
        $this->readAgain();
        $this->em->clear();
    }

    /** Other calendars, each once in a quarter of an hour; one at a time, so that a slow server keeps nothing up. */
    private function readAgain(): void
    {
        $calendar = $this->em->createQueryBuilder()->select('c')->from(BusyCalendar::class, 'c')->where("c.address <> '' AND c.readAt < :before")
            ->setParameter('before', $this->clock->now()->modify('-15 minutes'), 'datetime_immutable')->orderBy('c.readAt')->setMaxResults(1)->getQuery()->getOneOrNullResult();
        if ($calendar instanceof BusyCalendar) {
            $this->calendars->readAgain($calendar);
        }
    }

    /** A time that was offered and not taken is free again. */
    private function lapse(): void
    {
        $now = $this->clock->now();
        /** @var list<Appointment> $over */
        $over = $this->em->createQueryBuilder()->select('a')->from(Appointment::class, 'a')->where('a.state = :offered AND a.heldUntil <= :now AND a.startsAt > :past')
            ->setParameter('offered', AppointmentState::Offered->value)->setParameter('now', $now, 'datetime_immutable')->setParameter('past', $now->modify('-400 days'), 'datetime_immutable')->getQuery()->getResult();
        foreach ($over as $appointment) {
            $this->changes->carryOut(new Change(ChangeKind::Book, mb_substr("let the time for {$appointment->with()} go: nobody said yes", 0, 300), null, $now, null, 'appointment', $appointment->id, $appointment->recordLabel()), function () use ($appointment, $now): void {
                $this->em->refresh($appointment);
                if (AppointmentState::Offered === $appointment->state && $appointment->heldUntil <= $now) {
                    $this->placing->becomes($appointment, AppointmentState::Cancelled);
                }
            });
        }
    }

    /** What was taken back, or done again, is told as well. */
    private function tell(): void
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        /** @var list<string> $ids */
        $ids = $this->db->fetchFirstColumn("SELECT a.id FROM appointment a JOIN appointment_told t ON t.appointment_id = a.id WHERE a.starts_at > ? AND ((a.state IN ('booked', 'cancelled') AND a.state <> t.state AND NOT (a.state = 'cancelled' AND t.state = 'offered')) OR (a.state = 'booked' AND a.starts_at <> t.starts_at)) LIMIT 100", [$now]);
        foreach ($ids as $id) {
            $this->bus->dispatch(new TellClient($id));
        }
    }
}
