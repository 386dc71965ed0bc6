<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Business\PublicFace;
use Telamon\Diary\Appointment;
use Telamon\Diary\BookedTimes;
use Telamon\Diary\BookingPage;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\TimeHeld;
use Telamon\Diary\VisitType;
use Telamon\Diary\WaitingPlace;
use Telamon\Staff\Staff;

/** Shows a booking page to whoever books, as BookingPage in the contract. */
final readonly class BookingView
{
    public function __construct(
        private BookingPages $pages,
        private FreeTimes $times,
        private Profile $business,
        private PublicFace $face,
        private WhoBooks $who,
        private Bookings $bookings,
        private BookedTimes $booked,
        private BookingLinks $links,
        private AppointmentMails $mails,
        private WaitingList $waiting,
        private ClockInterface $clock,
    ) {
    }

    /** @return array<string, mixed> */
    public function show(BookingPage $page, ?Begun $begun): array
    {
        $held = null === $begun ? null : $this->bookings->held($begun);
        $booked = null === $begun ? null : $this->bookings->booked($begun);
        $waits = null === $begun ? null : $this->waiting->of($begun);

        return [
            'slug' => $page->slug, 'title' => $page->title, 'intro' => $page->intro, 'form' => $page->form,
            'business' => $this->face->show(),
            'zone' => $this->business->business()->timeZone,
            'who' => null === $begun ? null : array_intersect_key($this->who->of($begun), ['first' => 0, 'known' => 0]),
            'types' => array_map($this->type(...), $this->pages->types($page)),
            'held' => null === $held ? null : $this->held($held),
            'booked' => null === $booked ? null : $this->visit($booked),
            'waits' => null === $waits ? null : $this->waits($waits),
        ];
    }

    /** @return array<string, mixed> as WaitsFor in the contract */
    public function waits(WaitingPlace $place): array
    {
        return [
            'at' => $place->startsAt->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'type' => $place->type->slug,
            'title' => $place->type->name,
            'length' => $place->minutes,
            'number' => $this->waiting->number($place),
            'hours' => $place->type->settings()->waitHours,
            'email' => $place->email,
        ];
    }

    /** @return array<string, mixed> as HeldTime in the contract */
    public function held(TimeHeld $held): array
    {
        $people = $this->times->people($held->type);
        $names = array_map(static fn (string $id): string => $people[$id]->name ?? '', $held->staff);

        return [
            'at' => $held->startsAt->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'type' => $held->type->slug,
            'length' => intdiv($held->endsAt->getTimestamp() - $held->startsAt->getTimestamp(), 60),
            'with' => implode(' and ', $names),
            'until' => $held->until->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'now' => $this->clock->now()->format(\DATE_RFC3339),
            'extended' => $held->extended,
        ];
    }

    /** @return array<string, mixed> as BookedVisit in the contract */
    public function visit(Appointment $appointment): array
    {
        $zone = $this->business->zone();
        $settings = $appointment->type?->settings();

        return [
            'title' => $appointment->title, 'startsAt' => $appointment->startsAt->setTimezone($zone)
                ->format(\DATE_RFC3339), 'endsAt' => $appointment->endsAt
                ->setTimezone($zone)
                ->format(\DATE_RFC3339),
            'when' => $this->mails->when($appointment), 'place' => $appointment->place, 'with' => $this->booked->with($appointment),
            'says' => $settings->says ?? '', 'price' => $settings->price ?? '',
            'state' => $appointment->state->value, 'after' => $settings->after ?? '', 'token' => $this->links->visitToken($appointment),
            'email' => $this->mails->address($appointment),
        ];
    }

    /** @return array<string, mixed> as BookableType in the contract */
    private function type(VisitType $type): array
    {
        $settings = $type->settings();

        return [
            'slug' => $type->slug, 'name' => $type->name, 'lengths' => $settings->lengths, 'price' => $settings->price,
            'deposit' => $settings->deposit, 'place' => $settings->place->value, 'says' => $settings->says, 'seats' => $settings->seats,
            'people' => 'any' === $settings->takes->value
                ? array_values(array_map(static fn (Staff $one): array => ['id' => $one->id, 'name' => $one->name, 'initials' => $one->initials], $this->times->people($type)))
                : [],
        ];
    }
}
