<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\SendForm;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\LetFillIn;
use Telamon\Core\Rules\RuleAction;

/** A link to a form goes out. */
final readonly class FillInLine implements ActionLines
{
    public static function of(): string
    {
        return LetFillIn::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof LetFillIn);

        return $at->does('Messages', new SendForm($action->form));
    }
}
