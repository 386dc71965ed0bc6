<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\Placing;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\DueWork;

/** A time that was offered and not taken is free again. */
final readonly class LapseOffers implements DueWork
{
    public function __construct(private EntityManagerInterface $em, private Placing $placing, private Changes $changes, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'offers-lapse';
    }

    public function words(): string
    {
        return 'Times that were offered and not taken are let go';
    }

    public function every(): int
    {
        return 10;
    }

    public function due(): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        /** @var list<string> $due */
        $due = $this->em->getConnection()->fetchFirstColumn(
            'SELECT id FROM appointment WHERE state = ? AND held_until <= ? AND starts_at > ? ORDER BY held_until, id LIMIT 1000',
            [AppointmentState::Offered->value, $now->format('Y-m-d H:i:s'), $now->modify('-400 days')->format('Y-m-d H:i:s')],
        );

        return $due;
    }

    public function carryOut(string $key): void
    {
        $appointment = $this->em->find(Appointment::class, $key);
        if (null === $appointment) {
            return;
        }
        $now = $this->clock->now();
        $this->changes->carryOut(Act::of(
            ChangeKind::Book,
            "let the time for {$appointment->with()} go: nobody said yes",
        )->about($appointment)->looking($appointment), function () use ($appointment, $now): void {
            if (AppointmentState::Offered === $appointment->state && $appointment->heldUntil <= $now) {
                $this->placing->becomes($appointment, AppointmentState::Cancelled);
            }
        });
    }
}
