<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\GiveTask;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\Triggers\StageChanged;

/** A task, after those that the plan has. */
final readonly class TaskLine implements ActionLines
{
    public static function of(): string
    {
        return GiveTask::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof GiveTask);
        $doer = match ($action->doer) {
            'coordinator' => $at->now->desk->coordinator,
            'lead' => $at->lead,
            default => $at->now->ruling->book->staff[$action->doer] ?? $at->lead,
        };
        $due = $at->now->desk->calendar->add($at->now->day(), $action->days);
        // Each time its stage is reached it is the same task; of other events each is another.
        $brief = $at->rule->when instanceof StageChanged ? new TaskBrief('@rule/'.$at->rule->id.'/'.hash('crc32b', $action->task)) : new TaskBrief();
        $position = 1 + \count(array_filter($at->before, static fn (PlanLine $line): bool => $line->effect instanceof AddTask));

        return $at->does('Tasks', new AddTask($position, mb_substr($at->filled($action->task), 0, 200), $doer->id, $due->format('Y-m-d'), [], $at->rule->name, $brief), $action);
    }
}
