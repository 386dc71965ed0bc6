<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\DraftQuote;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\WriteQuote;
use Telamon\Core\Rules\RuleAction;

/** A quote to be written; one for a project, however many rules say so. */
final readonly class QuoteLine implements ActionLines
{
    public static function of(): string
    {
        return WriteQuote::class;
    }

    public function line(RuleAction $action, RuleLine $at): ?PlanLine
    {
        return $at->has(DraftQuote::class) ? null : $at->does('Project', new DraftQuote());
    }
}
