<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\SetField;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\SetOwner;
use Telamon\Core\Rules\RuleAction;

/** Who looks after the client, beyond any one project. */
final readonly class OwnerLine implements ActionLines
{
    public static function of(): string
    {
        return SetOwner::class;
    }

    public function line(RuleAction $action, RuleLine $at): ?PlanLine
    {
        \assert($action instanceof SetOwner);
        $staff = $at->now->ruling->book->staff[$action->staff] ?? null;

        return null === $staff ? null : $at->does('Client', SetField::to('client', 'owner', $staff->id), $action);
    }
}
