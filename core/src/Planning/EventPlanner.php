<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Effects\SetField;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\RuleFacts;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Core\Time\DayWords;

/** What rules do when something happens to a project that is there, or to a client alone: lines like those of a plan, carried out at once. */
final readonly class EventPlanner
{
    public function __construct(private RuleLines $rules = new RuleLines())
    {
    }

    /**
     * @param StaffMember|null $lead of the project; null where what happened is about no project
     * @param \DateTimeImmutable|null $readyBy of the project
     */
    public function plan(PlanInput $input, RuleFacts $facts, ?StaffMember $lead, ?\DateTimeImmutable $readyBy): Plan
    {
        $outcome = $input->book->outcome($facts);
        $input = $input->with($outcome, new Amendments());
        if (null === $lead) {
            return new Plan([...self::withoutProject($outcome), ...$this->rules->lines($input, [], asks: false)], '', $outcome);
        }
        $newLead = $outcome->lead();
        $lines = [];
        if (null !== $newLead && $newLead->id !== $lead->id) {
            $lines[] = new PlanLine('lead', 'Project', [Part::value($newLead->name), Part::words(' leads the project')], new SetField('project', 'lead', $newLead->id), '', RuleOutcome::why($outcome->leads));
        }
        if ('' !== $outcome->stage()) {
            $lines[] = new PlanLine('stage', 'Project', [Part::words('Move the project to '), Part::value($outcome->stage())], new SetField('project', 'stage', $outcome->stage()), '', RuleOutcome::why($outcome->stages));
        }
        $lead = $newLead ?? $lead;
        $lines = [...$lines, ...$this->tasks($input, $lead, $readyBy)];

        return new Plan([...$lines, ...$this->rules->lines($input, $lines, $lead, asks: false)], '', $outcome);
    }

    /** @return list<PlanLine> what rules want of a project where there is none: said, not done */
    private static function withoutProject(RuleOutcome $outcome): array
    {
        $lines = [];
        $wanted = ['lead' => $outcome->leads, 'stage' => $outcome->stages];
        foreach ($wanted as $key => $said) {
            if ([] !== $said) {
                $lines[] = RuleLines::noProject("$key.none", RuleOutcome::why($said));
            }
        }

        return [] === $outcome->checklists ? $lines : [...$lines, RuleLines::noProject('tasks.none', implode(' and ', array_map(static fn (Checklist $list): string => $list->name, array_values($outcome->checklists))))];
    }

    /** @return list<PlanLine> */
    private function tasks(PlanInput $input, StaffMember $lead, ?\DateTimeImmutable $readyBy): array
    {
        $today = new \DateTimeImmutable($input->today->format('Y-m-d'), new \DateTimeZone('UTC'));
        $lines = [];
        foreach ((new ChecklistMerge($input->calendar))->merge(array_values($input->outcome->checklists), $today, $readyBy) as $task) {
            $doer = Doer::Lead === $task->item->doer ? $lead : $input->coordinator;
            $lines[] = new PlanLine('task.'.$task->item->key, 'Tasks', [Part::value($task->item->name), Part::words(', '), Part::value($doer->firstName()), Part::words(', '), Part::value(DayWords::short($task->due, $input->today))], new AddTask($task->number, $task->item->name, $doer->id, $task->due->format('Y-m-d'), $task->waitsFor, $task->checklist), '', $task->checklist);
        }

        return $lines;
    }
}
