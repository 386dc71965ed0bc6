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
     * @param list<string> $followUps keys of those that are switched on
     * @param list<string> $rooms keys of the rooms of the notice board
     * @param list<string> $forms endings of those that are published
     */
    public function __construct(
        public array $rules = [],
        public array $staff = [],
        public array $checklists = [],
        public array $stages = [],
        public array $templates = [],
        private Turns $turns = new Turns(),
        public array $followUps = [],
        public array $rooms = [],
        public array $forms = [],
    ) {
    }

    /** All the rules that hold, at once. */
    public function outcome(Circumstances $facts): RuleOutcome
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
        $turns = [];
        foreach ($rule->actions as $i => $action) {
            if ($action instanceof NamesSomebody && \in_array($action->named(), [Turns::ROTA, Turns::FEWEST], true)) {
                $how = $action->named();
                $chosen = $this->turns->choose($how, "{$rule->id}.$i", $this->here($action->among()));
                if (null !== $chosen && Turns::ROTA === $how) {
                    $turns["{$rule->id}.$i"] = $chosen->id;
                }
                $action = $action->choosing($chosen->id ?? '', Turns::ROTA === $how ? 'by turns' : 'fewest open tasks');
            }
            $gone = $action->gone($this);
            $outcome = match (true) {
                null !== $gone => $outcome->missing($rule, $gone),
                $action instanceof Settles => $action->settle($outcome, $rule, $this),
                default => $outcome->adding($rule, $action),
            };
        }

        return $outcome->holding($rule, $turns);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<StaffMember> those who are here
     */
    private function here(array $ids): array
    {
        return array_values(array_filter(array_map(fn (string $id): ?StaffMember => $this->staff[$id] ?? null, $ids)));
    }
}
