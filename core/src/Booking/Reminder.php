<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** A mail that goes out so long before an appointment. */
final readonly class Reminder
{
    /**
     * @param int $minutes before the appointment
     * @param string $template key of the text
     */
    public function __construct(public int $minutes, public string $template)
    {
    }
}
