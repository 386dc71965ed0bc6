<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** An appointment: it was booked. */
final class VisitBooked extends VisitTrigger
{
    public static function name(): string
    {
        return 'visit-booked';
    }

    public function words(): string
    {
        return 'a visit is booked';
    }
}
