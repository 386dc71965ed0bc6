<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** An action that settles something of the project before lines are made of it: of two that say otherwise, the later counts. */
interface Settles extends RuleAction
{
    public function settle(RuleOutcome $outcome, Rule $by, RuleBook $book): RuleOutcome;
}
