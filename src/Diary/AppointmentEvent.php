<?php

declare(strict_types=1);

namespace Telamon\Diary;

/** What may happen to an appointment, as rules know it. */
enum AppointmentEvent: string
{
    case Booked = 'booked';
    case Moved = 'moved';
    case Cancelled = 'cancelled';
    case Held = 'held';
    case Missed = 'missed';
}
