<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;

/** The business's rules in their order, and what they may name. */
final readonly class RuleBook
{
    /**
     * @param list<Rule> $rules in the order they apply
     * @param array<string, StaffMember> $staff by id
     * @param array<string, Checklist> $checklists by id
     * @param list<string> $stages
     * @param list<string> $templates keys of message templates
     */
    public function __construct(public array $rules = [], public array $staff = [], public array $checklists = [], public array $stages = [], public array $templates = [], private Turns $turns = new Turns())
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
        $leads = $stages = $checklists = $adds = $goneNow = $turns = [];
        foreach ($rule->actions as $i => $action) {
            $how = $action->text($action->kind->names());
            if (Turns::ROTA === $how || Turns::FEWEST === $how) {
                $chosen = $this->turns->choose($how, "{$rule->id}.$i", $this->among($action));
                if (null !== $chosen && Turns::ROTA === $how) {
                    $turns["{$rule->id}.$i"] = $chosen->id;
                }
                $action = new Action($action->kind, [$action->kind->names() => $chosen->id ?? ''] + $action->values + ['why' => Turns::ROTA === $how ? 'by turns' : 'fewest open tasks']);
            }
            $gone = $this->gone($action);
            if (null !== $gone) {
                $goneNow[] = [$rule, $gone];
                continue;
            }
            switch ($action->kind) {
                case ActionKind::Lead:
                    $leads[] = ['' === $action->text('why') ? $rule : $rule->called("{$rule->name}, {$action->text('why')}"), $this->staff[$action->text('staff')]];
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

        return $outcome->and($rule, $leads, $stages, $checklists, $adds, $goneNow, $turns);
    }

    /** @return list<StaffMember> those who are here */
    private function among(Action $action): array
    {
        return array_values(array_filter(array_map(fn (string $id): ?StaffMember => $this->staff[trim($id)] ?? null, explode(',', $action->text('among')))));
    }

    /** What an action names and is there no more, in words. */
    private function gone(Action $action): ?string
    {
        return match ($action->kind) {
            ActionKind::Lead, ActionKind::Notice, ActionKind::Owner => isset($this->staff[$action->text('staff')]) ? null : 'a person who is here no more',
            ActionKind::Task => \in_array($action->text('doer'), ['lead', 'coordinator'], true) || isset($this->staff[$action->text('doer')]) ? null : 'a person who is here no more',
            ActionKind::Checklist => isset($this->checklists[$action->text('checklist')]) ? null : 'a checklist that is gone',
            ActionKind::Stage => \in_array($action->text('stage'), $this->stages, true) ? null : "the stage {$action->text('stage')}, which is gone",
            ActionKind::Message => \in_array($action->text('template'), $this->templates, true) ? null : 'a message that is gone',
            default => null,
        };
    }
}
