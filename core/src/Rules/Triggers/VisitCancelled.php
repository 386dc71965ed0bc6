<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** An appointment: it was cancelled. */
final class VisitCancelled extends VisitTrigger
{
    public static function name(): string
    {
        return 'visit-cancelled';
    }

    public function words(): string
    {
        return 'a visit is cancelled';
    }
}
