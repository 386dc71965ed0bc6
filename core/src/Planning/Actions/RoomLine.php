<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\PostNotice;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\TellRoom;
use Telamon\Core\Rules\RuleAction;

/** A notice on the board, with its words filled in. */
final readonly class RoomLine implements ActionLines
{
    public static function of(): string
    {
        return TellRoom::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof TellRoom);

        return $at->does('Messages', new PostNotice($action->room, $at->filled($action->text), $at->rule->name));
    }
}
