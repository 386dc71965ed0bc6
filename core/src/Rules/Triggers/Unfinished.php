<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\Trigger;

/** The longer form that was to follow did not come in time: the rule has its part in the plan from then on. */
final class Unfinished extends Trigger
{
    public static function name(): string
    {
        return 'unfinished';
    }

    public function words(): string
    {
        return 'somebody did not finish';
    }

    public function isOfPlan(): bool
    {
        return true;
    }
}
