<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\SetField;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\WriteNote;
use Telamon\Core\Rules\RuleAction;

/** A note on the project. */
final readonly class NoteLine implements ActionLines
{
    public static function of(): string
    {
        return WriteNote::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof WriteNote);

        return $at->does('Project', SetField::to('project', 'notes', $at->filled($action->text)));
    }
}
