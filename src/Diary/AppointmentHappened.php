<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Telamon\Record\DomainEvent;

/** An appointment was booked, moved, cancelled, held or missed. */
final class AppointmentHappened extends DomainEvent
{
    public function __construct(public readonly Appointment $appointment, public readonly AppointmentEvent $what)
    {
    }
}
