<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\RuleAction;

/** Makes a line that may offer a choice, where somebody looks at it before it is carried out. */
interface ChoosingLines extends ActionLines
{
    /** @param string|null $chosen null where nothing is yet */
    public function choosing(RuleAction $action, RuleLine $at, ?string $chosen): PlanLine;
}
