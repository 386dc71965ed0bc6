<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\RestartClock;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\StartClock;
use Telamon\Core\Rules\RuleAction;

/** The reply clock, where somebody wrote at all. */
final readonly class ClockLine implements ActionLines
{
    public static function of(): string
    {
        return StartClock::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        return [] === $at->now->inquiry->readings->all
            ? $at->says('Rules', "{$at->rule->name} starts the reply clock anew, and nobody wrote: nothing is done for it")
            : $at->does('Messages', new RestartClock());
    }
}
