<?php

declare(strict_types=1);

namespace Telamon\Booking;

/** Asks the worker to tell the client how an appointment stands. */
final readonly class TellClient
{
    public function __construct(public string $appointmentId)
    {
    }
}
