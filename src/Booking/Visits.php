<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\Placing;
use Telamon\Diary\Wanted;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;

/** What a client may do with an appointment of theirs by its link: move it, cancel it, say yes, or ask once the notice is over. */
final readonly class Visits
{
    public function __construct(
        private Placing $placing,
        private AppointmentMails $mails,
        private WaitingList $waiting,
        private Changes $changes,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
    ) {
    }

    /** Whether the client may change it by themselves: it stands, and the notice is not over. */
    public function isOpen(Appointment $appointment): bool
    {
        $notice = $appointment->type?->settings()->cancelNotice ?? 1440;

        return \in_array($appointment->state, [AppointmentState::Booked, AppointmentState::Offered], true)
            && $this->clock->now() <= $appointment->startsAt->modify("-$notice minutes");
    }

    public function isOver(Appointment $appointment): bool
    {
        return $appointment->endsAt < $this->clock->now();
    }

    public function wanted(Appointment $appointment): ?Wanted
    {
        return null === $appointment->type
            ? null
            : new Wanted($appointment->type, intdiv($appointment->endsAt->getTimestamp() - $appointment->startsAt->getTimestamp(), 60), $appointment->place, but: $appointment->id);
    }

    /** @throws Refusal */
    public function move(Appointment $appointment, \DateTimeImmutable $start): void
    {
        $this->change($appointment, 'moved', function () use ($appointment, $start): void {
            $this->refuseLate($appointment);
            if ($appointment->startsAt->getTimestamp() === $start->getTimestamp()) {
                return;
            }
            $this->placing->move($appointment, $this->wanted($appointment) ?? throw new InvalidInput('at', 'This one is moved by us. Ring us, please.'), $start);
            if (AppointmentState::Offered === $appointment->state) {
                $this->placing->becomes($appointment, AppointmentState::Booked);
                $this->waiting->taken($appointment);
            }
        });
    }

    /** @throws Refusal */
    public function cancel(Appointment $appointment): void
    {
        $this->change($appointment, 'cancelled', function () use ($appointment): void {
            if (AppointmentState::Cancelled === $appointment->state) {
                return;
            }
            $this->refuseLate($appointment);
            $this->placing->becomes($appointment, AppointmentState::Cancelled);
        });
    }

    /** A time that was offered is taken. @throws Refusal */
    public function accept(Appointment $appointment): void
    {
        $this->change($appointment, 'said yes to', function () use ($appointment): void {
            if (AppointmentState::Booked === $appointment->state) {
                return;
            }
            if (AppointmentState::Offered !== $appointment->state || !$appointment->stands($this->clock->now())) {
                throw new VisitOver('The time was kept until then, and is free again. Choose another one, or ring us.');
            }
            $this->placing->becomes($appointment, AppointmentState::Booked);
            $this->waiting->taken($appointment);
        });
    }

    /** What they want changed goes to the coordinator. @throws Refusal */
    public function ask(Appointment $appointment, string $words): void
    {
        if ('' === trim($words)) {
            throw new InvalidInput('words', 'Write what you would like to change.');
        }
        $this->change($appointment, 'asked to change', function () use ($appointment, $words): void {
            if (!$appointment->state->stands() || $this->isOver($appointment)) {
                throw new VisitOver('It is over, or was cancelled. Ring us, please.');
            }
            if ($appointment->wish !== trim($words)) {
                $appointment->wish(trim($words));
                $this->mails->wish($appointment);
            }
        });
    }

    private function refuseLate(Appointment $appointment): void
    {
        if (!$this->isOpen($appointment)) {
            throw new VisitOver(match ($appointment->state) {
                AppointmentState::Cancelled => 'It was cancelled already.',
                AppointmentState::Held, AppointmentState::Missed => 'It is over.',
                default => 'It is too soon for that by this page. Write to us here, or ring us.',
            });
        }
    }

    /** @param \Closure(): void $do */
    private function change(Appointment $appointment, string $did, \Closure $do): void
    {
        $act = Act::of(ChangeKind::Book, "{$appointment->with()} $did {$appointment->title}")->from($appointment->submissionId)->about($appointment)->looking($appointment);
        $this->changes->carryOut($act, function () use ($appointment, $do): void {
            $do();
            $this->bus->dispatch(new TellClient($appointment->id));
        });
    }
}
