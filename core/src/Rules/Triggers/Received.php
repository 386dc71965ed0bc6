<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\Trigger;

/** A submission came: the rule has its part in the plan. */
final class Received extends Trigger
{
    public static function name(): string
    {
        return 'received';
    }

    public function words(): string
    {
        return 'a submission comes';
    }

    public function isOfPlan(): bool
    {
        return true;
    }
}
