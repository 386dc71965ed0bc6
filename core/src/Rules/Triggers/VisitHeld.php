<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** An appointment: it was held. */
final class VisitHeld extends VisitTrigger
{
    public static function name(): string
    {
        return 'visit-held';
    }

    public function words(): string
    {
        return 'a visit is held';
    }
}
