<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Planning\StaffMember;
use Telamon\Core\Tasks\Checklist;

/** The business's rules in their order, and what they may name. */
final readonly class RuleBook
{
    /**
     * @param list<Rule> $rules in the order they apply
     * @param array<string, StaffMember> $staff by id
     * @param array<string, Checklist> $checklists by id
     * @param list<string> $stages
     */
    public function __construct(public array $rules = [], public array $staff = [], public array $checklists = [], public array $stages = [])
    {
    }

    /** All the rules that hold, at once. */
    public function outcome(RuleFacts $facts): RuleOutcome
    {
        $outcome = new RuleOutcome();
        foreach ($this->rules as $rule) {
            if ($rule->appliesTo($facts)) {
                $outcome = $this->apply($outcome, $rule);
            }
        }

        return $outcome;
    }

    private function apply(RuleOutcome $outcome, Rule $rule): RuleOutcome
    {
        $leads = $stages = $checklists = $adds = $goneNow = [];
        foreach ($rule->actions as $action) {
            $gone = $this->gone($action);
            if (null !== $gone) {
                $goneNow[] = [$rule, $gone];
                continue;
            }
            switch ($action->kind) {
                case ActionKind::Lead:
                    $leads[] = [$rule, $this->staff[$action->text('staff')]];
                    break;
                case ActionKind::Stage:
                    $stages[] = [$rule, $action->text('stage')];
                    break;
                case ActionKind::Checklist:
                    $checklists[$action->text('checklist')] = $this->checklists[$action->text('checklist')];
                    break;
                default:
                    $adds[] = [$rule, $action];
            }
        }

        return $outcome->and($rule, $leads, $stages, $checklists, $adds, $goneNow);
    }

    /** What an action names and is there no more, in words. */
    private function gone(Action $action): ?string
    {
        return match ($action->kind) {
            ActionKind::Lead, ActionKind::Notice => isset($this->staff[$action->text('staff')]) ? null : 'a person who is here no more',
            ActionKind::Task => \in_array($action->text('doer'), ['lead', 'coordinator'], true) || isset($this->staff[$action->text('doer')]) ? null : 'a person who is here no more',
            ActionKind::Checklist => isset($this->checklists[$action->text('checklist')]) ? null : 'a checklist that is gone',
            ActionKind::Stage => \in_array($action->text('stage'), $this->stages, true) ? null : "the stage {$action->text('stage')}, which is gone",
            default => null,
        };
    }
}
