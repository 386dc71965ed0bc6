<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\AskToSign;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\LetSign;
use Telamon\Core\Rules\RuleAction;

/** The agreement goes out for signature: once, however many rules say so. */
final readonly class SignLine implements ActionLines
{
    public static function of(): string
    {
        return LetSign::class;
    }

    public function line(RuleAction $action, RuleLine $at): ?PlanLine
    {
        return $at->has(AskToSign::class) ? null : $at->does('Messages', new AskToSign());
    }
}
