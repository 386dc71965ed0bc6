<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\RuleAction;

/** Makes the line of a plan that a rule's action comes to: a class a kind of action. */
interface ActionLines
{
    /** @return class-string<RuleAction> */
    public static function of(): string;

    /** @return PlanLine|null null where there is nothing to say */
    public function line(RuleAction $action, RuleLine $at): ?PlanLine;
}
