<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\AddTags;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\TagRecord;
use Telamon\Core\Rules\RuleAction;

/** A tag. */
final readonly class TagLine implements ActionLines
{
    public static function of(): string
    {
        return TagRecord::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof TagRecord);

        return $at->does('client' === $action->record ? 'Client' : 'Project', new AddTags($action->record, [mb_substr($at->filled($action->tag), 0, 60)]));
    }
}
