<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\AddWish;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\NoteWish;
use Telamon\Core\Rules\RuleAction;

/** A wish for an appointment or a quote. */
final readonly class WishLine implements ActionLines
{
    public static function of(): string
    {
        return NoteWish::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof NoteWish);

        return $at->does('Project', new AddWish($action->about, $at->filled($action->text)));
    }
}
