<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\StartFollowUp;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\BeginFollowUp;
use Telamon\Core\Rules\RuleAction;

/** A series of messages and waits begins with the client. */
final readonly class FollowUpLine implements ActionLines
{
    public static function of(): string
    {
        return BeginFollowUp::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof BeginFollowUp);

        return $at->does('Messages', new StartFollowUp($action->followUp, $at->rule->name));
    }
}
