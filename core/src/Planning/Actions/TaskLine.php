<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\AddTask;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\GiveTask;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Time\DayWords;

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
            'coordinator' => $at->input->coordinator,
            'lead' => $at->lead,
            default => $at->input->book->staff[$action->doer] ?? $at->lead,
        };
        $name = mb_substr($at->filled($action->task), 0, 200);
        $due = $at->input->calendar->add(new \DateTimeImmutable($at->input->today->format('Y-m-d'), new \DateTimeZone('UTC')), $action->days);
        $position = 1 + \count(array_filter($at->before, static fn (PlanLine $line): bool => $line->effect instanceof AddTask));

        return $at->says('Tasks', [Part::value($name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($due, $at->input->today))], new AddTask($position, $name, $doer->id, $due->format('Y-m-d'), [], $at->rule->name), $action);
    }
}
