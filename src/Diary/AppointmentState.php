<?php

declare(strict_types=1);

namespace Telamon\Diary;

enum AppointmentState: string
{
    /** Kept free for a client who has not said yes. */
    case Offered = 'offered';
    case Booked = 'booked';
    /** It took place. */
    case Held = 'held';
    /** Nobody was there. */
    case Missed = 'missed';
    case Cancelled = 'cancelled';

    /** Whether it takes somebody's time. */
    public function stands(): bool
    {
        return self::Cancelled !== $this;
    }
}
