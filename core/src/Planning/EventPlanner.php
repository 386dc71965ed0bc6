<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Effects\SetField;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\RuleOutcome;

/** What rules do when something happens to a project that is there, or to a client alone: lines like those of a plan, carried out at once. */
final readonly class EventPlanner
{
    public function __construct(private RuleLines $rules = new RuleLines(), private TaskLines $tasks = new TaskLines())
    {
    }

    /**
     * @param StaffMember|null $lead of the project; null where what happened is about no project
     * @param \DateTimeImmutable|null $readyBy of the project
     */
    public function plan(PlanContext $now, Circumstances $facts, ?StaffMember $lead, ?\DateTimeImmutable $readyBy): Plan
    {
        $outcome = $now->ruling->book->outcome($facts);
        $now = $now->with($outcome, new Amendments());
        if (null === $lead) {
            return new Plan([...self::withoutProject($outcome), ...$this->rules->lines($now, [], asks: false)], '', $outcome);
        }
        $newLead = $outcome->lead();
        $lines = [];
        if (null !== $newLead && $newLead->id !== $lead->id) {
            $lines[] = PlanLine::of(
                'lead',
                'Project',
                SetField::to('project', 'lead', $newLead->id),
                $now->telling,
            )->because(RuleOutcome::why($outcome->leads), RuleOutcome::leadsTo($outcome->leads));
        }
        if ('' !== $outcome->stage()) {
            $lines[] = PlanLine::of(
                'stage',
                'Project',
                SetField::to('project', 'stage', $outcome->stage()),
                $now->telling,
            )->because(RuleOutcome::why($outcome->stages), RuleOutcome::leadsTo($outcome->stages));
        }
        $lead = $newLead ?? $lead;
        $lines = [...$lines, ...$this->tasks->ruled($now, $lead, $readyBy)];

        return new Plan([...$lines, ...$this->rules->lines($now, $lines, $lead, asks: false)], '', $outcome);
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

        return [] === $outcome->checklists
            ? $lines
            : [...$lines, RuleLines::noProject('tasks.none', implode(' and ', array_map(static fn (Checklist $list): string => $list->name, array_values($outcome->checklists))))];
    }
}
