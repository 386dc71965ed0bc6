<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\MessageLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\TellSomebody;
use Telamon\Core\Rules\RuleAction;

/** A notice to somebody of the staff, unless the plan writes to them already. */
final readonly class NoticeLine implements ActionLines
{
    public static function of(): string
    {
        return TellSomebody::class;
    }

    public function line(RuleAction $action, RuleLine $at): ?PlanLine
    {
        \assert($action instanceof TellSomebody);
        $staff = $at->now->ruling->book->staff[$action->staff] ?? null;
        if (null === $staff) {
            return null;
        }
        foreach ($at->before as $line) {
            // Of several rules that tell one person, each has its own reason.
            if ($line->effect instanceof QueueMessage && $line->effect->to === $staff->email && !str_starts_with($line->key, 'rule.')) {
                return $at->says('Messages', "{$staff->name} is told already");
            }
        }

        return $at->does('Messages', QueueMessage::toStaff(MessageLines::TOLD, $staff, $at->rule->name));
    }
}
