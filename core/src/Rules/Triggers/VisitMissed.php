<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

/** An appointment: it was missed. */
final class VisitMissed extends VisitTrigger
{
    public static function name(): string
    {
        return 'visit-missed';
    }

    public function words(): string
    {
        return 'a visit is missed';
    }
}
