<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/** Puts appointments into the diary, moves them and takes them out. Call it inside a change: what is free then stays so until the commit. */
final readonly class Placing
{
    public function __construct(
        private EntityManagerInterface $em,
        private FreeTimes $times,
        private Profile $business,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $id what it is to be known by
     *
     * @throws TimeTaken where nobody is free then
     */
    public function place(string $id, Wanted $wanted, \DateTimeImmutable $start, ?Client $client, ?Project $project, string $title = ''): Appointment
    {
        $type = $wanted->type;
        $crews = $this->times->at($wanted, $start) ?? throw $this->taken($wanted, $start);
        $crew = $this->times->choose($type, $crews, $start, $client?->id);
        $appointment = new Appointment(
            '' === $title ? $type->name : mb_substr($title, 0, 100),
            $this->placeOf($wanted),
            $crew[0] ?? throw new \LogicException('somebody holds it'),
            $project,
            $start,
            $start->modify("+{$wanted->length} minutes"),
            $this->clock->now(),
            $id,
        );
        $appointment->isOf($type, $type->settings()->resources);
        $appointment->isFor($client, $project);
        $appointment->goWith($appointment->staff, array_map(static fn (Staff $one): string => $one->id, \array_slice($crew, 1)));
        $this->em->persist($appointment);

        return $appointment;
    }

    /** @throws TimeTaken where nobody is free then */
    public function move(Appointment $appointment, Wanted $wanted, \DateTimeImmutable $start): void
    {
        $crews = $this->times->at($wanted, $start) ?? throw $this->taken($wanted, $start);
        // Whoever has it keeps it, where they can.
        $mine = array_values(array_filter($crews, static fn (array $crew): bool => [] === array_diff($crew, $appointment->crew())));
        $crew = $this->times->choose($wanted->type, [] === $mine ? $crews : $mine, $start, $appointment->client?->id);
        $this->put(
            $appointment,
            $start,
            $start->modify("+{$wanted->length} minutes"),
            $crew[0] ?? $appointment->staff,
            array_map(static fn (Staff $one): string => $one->id, \array_slice($crew, 1)),
        );
    }

    /** @param list<string> $also ids of staff */
    public function put(Appointment $appointment, \DateTimeImmutable $start, \DateTimeImmutable $end, Staff $staff, array $also): void
    {
        $appointment->move($start, $end, $staff, $also, $this->clock->now());
        $this->happened($appointment, AppointmentEvent::Moved);
    }

    public function becomes(Appointment $appointment, AppointmentState $state): void
    {
        $appointment->becomes($state);
        $event = match ($state) {
            AppointmentState::Booked => AppointmentEvent::Booked,
            AppointmentState::Held => AppointmentEvent::Held,
            AppointmentState::Missed => AppointmentEvent::Missed,
            AppointmentState::Cancelled => AppointmentEvent::Cancelled,
            AppointmentState::Offered => null,
        };
        if (null !== $event) {
            $this->happened($appointment, $event);
        }
    }

    /** Whoever listens hears of it; they write under the same change. */
    public function happened(Appointment $appointment, AppointmentEvent $what): void
    {
        $this->em->flush();
        $this->events->dispatch(new AppointmentHappened($appointment, $what));
    }

    private function placeOf(Wanted $wanted): string
    {
        $settings = $wanted->type->settings();

        return mb_substr(match ($settings->place->value) {
            'client' => $wanted->address,
            'phone' => '',
            default => '' === $settings->address ? ('here' === $settings->place->value ? $this->business->business()->address : '') : $settings->address,
        }, 0, 300);
    }

    private function taken(Wanted $wanted, \DateTimeImmutable $start): TimeTaken
    {
        $at = $start->setTimezone($this->business->zone())->format('l j F, H:i');
        $why = [];
        foreach ($this->times->people($wanted->type) as $one) {
            if ('' === $wanted->with || $one->id === $wanted->with) {
                $why[] = "{$one->name}: ".($this->times->whyNot($wanted, $one, $start) ?? 'free, but not together with what else it takes');
            }
        }

        return new TimeTaken("$at cannot be had. ".implode('. ', $why).'.');
    }
}
