<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Psr\Clock\ClockInterface;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Telamon\Business\Profile;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Diary\BookedTimes;

/** An appointment as an iCalendar object (RFC 5545), to send by RFC 5546 or to put into a calendar. */
final readonly class Invitation
{
    public function __construct(private Profile $business, private BookedTimes $booked, private ClockInterface $clock)
    {
    }

    /**
     * @param string $method REQUEST, CANCEL or PUBLISH
     * @param int $sequence how often it changed
     * @param string $email of the client; empty for nobody
     */
    public function make(Appointment $appointment, string $method, int $sequence, string $email, string $link = ''): string
    {
        $calendar = $this->calendar($method);
        $this->add($calendar, $appointment, $sequence, 'PUBLISH' === $method ? '' : $email, $link);

        return $calendar->serialize();
    }

    /**
     * The visits of a series in one object, each by itself: each can be moved and cancelled. By PUBLISH, as a REQUEST may
     * hold but one UID (RFC 5546, 3.2.1 and 3.2.2).
     *
     * @param list<Appointment> $series
     * @param \Closure(Appointment): string $link
     */
    public function ofSeries(array $series, \Closure $link): string
    {
        $calendar = $this->calendar('PUBLISH');
        foreach ($series as $one) {
            $this->add($calendar, $one, 0, link: $link($one));
        }

        return $calendar->serialize();
    }

    public function calendar(string $method, string $name = ''): VCalendar
    {
        $calendar = new VCalendar(['PRODID' => '-//Telamon//Diary//EN', 'METHOD' => $method]);
        if ('' !== $name) {
            $calendar->add('X-WR-CALNAME', $name);
            $calendar->add('REFRESH-INTERVAL', 'PT15M', ['VALUE' => 'DURATION']);
        }

        return $calendar;
    }

    /** @param string $notes for staff only; empty for none */
    public function add(VCalendar $calendar, Appointment $appointment, int $sequence, string $email = '', string $link = '', string $notes = ''): void
    {
        $utc = new \DateTimeZone('UTC');
        $business = $this->business->business();
        $isGone = AppointmentState::Cancelled === $appointment->state;
        $says = '' === $notes ? ($appointment->type?->settings()->says ?? '') : $notes;
        $event = $calendar->createComponent('VEVENT', [
            'UID' => $appointment->uid,
            'SEQUENCE' => $sequence,
            'DTSTAMP' => $this->clock->now()->setTimezone($utc),
            'DTSTART' => $appointment->startsAt->setTimezone($utc),
            'DTEND' => $appointment->endsAt->setTimezone($utc),
            'SUMMARY' => '' === $notes ? "{$appointment->title}, {$business->name}" : $appointment->recordLabel(),
            'STATUS' => $isGone ? 'CANCELLED' : (AppointmentState::Offered === $appointment->state ? 'TENTATIVE' : 'CONFIRMED'),
            'DESCRIPTION' => trim("With {$this->booked->with($appointment)}.\n$says".('' === $link ? '' : "\n$link")),
        ]);
        \assert($event instanceof VEvent);
        $calendar->add($event);
        if ('' !== $appointment->place) {
            $event->add('LOCATION', $appointment->place);
        }
        if ('' !== $link) {
            $event->add('URL', $link);
        }
        if ('' !== $email) {
            $event->add('ORGANIZER', "mailto:{$business->email}", ['CN' => $business->name]);
            $event->add(
                'ATTENDEE',
                "mailto:$email",
                ['CN' => $appointment->with(), 'ROLE' => 'REQ-PARTICIPANT', 'PARTSTAT' => $isGone ? 'DECLINED' : 'ACCEPTED', 'RSVP' => 'FALSE'],
            );
        }
    }
}
