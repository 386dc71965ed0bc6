<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** An appointment: it was moved. */
final class VisitMoved extends VisitTrigger
{
    public static function name(): string
    {
        return 'visit-moved';
    }

    public function words(): string
    {
        return 'a visit is moved';
    }
}
