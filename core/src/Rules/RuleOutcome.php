<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Checklists\Checklist;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Leads;

/** What the rules that hold say together. Where two say different things of one field, the later counts. */
final readonly class RuleOutcome
{
    /**
     * @param list<Rule> $rules those that hold
     * @param list<array{Rule, StaffMember}> $leads the last counts
     * @param list<array{Rule, string}> $stages the last counts
     * @param array<string, Checklist> $checklists by id
     * @param list<array{Rule, RuleAction}> $adds what is done beside
     * @param list<array{Rule, string}> $gone what rules name and is there no more
     * @param array<string, string> $turns whose turn it was, an id, by place
     */
    public function __construct(
        public array $rules = [],
        public array $leads = [],
        public array $stages = [],
        public array $checklists = [],
        public array $adds = [],
        public array $gone = [],
        public array $turns = [],
    ) {
    }

    /**
     * With one rule more that holds.
     *
     * @param array<string, string> $turns whose turn it was, an id, by place
     */
    public function holding(Rule $rule, array $turns): self
    {
        return new self([...$this->rules, $rule], $this->leads, $this->stages, $this->checklists, $this->adds, $this->gone, $this->turns + $turns);
    }

    public function leading(Rule $by, StaffMember $lead): self
    {
        return new self($this->rules, [...$this->leads, [$by, $lead]], $this->stages, $this->checklists, $this->adds, $this->gone, $this->turns);
    }

    public function standing(Rule $by, string $stage): self
    {
        return new self($this->rules, $this->leads, [...$this->stages, [$by, $stage]], $this->checklists, $this->adds, $this->gone, $this->turns);
    }

    public function listing(string $id, Checklist $checklist): self
    {
        return new self($this->rules, $this->leads, $this->stages, $this->checklists + [$id => $checklist], $this->adds, $this->gone, $this->turns);
    }

    public function adding(Rule $by, RuleAction $action): self
    {
        return new self($this->rules, $this->leads, $this->stages, $this->checklists, [...$this->adds, [$by, $action]], $this->gone, $this->turns);
    }

    /** @param string $what is there no more, in words */
    public function missing(Rule $by, string $what): self
    {
        return new self($this->rules, $this->leads, $this->stages, $this->checklists, $this->adds, [...$this->gone, [$by, $what]], $this->turns);
    }

    /** With a lead that somebody chose: nothing comes after that. */
    public function chosen(StaffMember $lead): self
    {
        return new self(
            $this->rules,
            [...$this->leads, [new Rule('', 'your choice', [], null, []), $lead]],
            $this->stages,
            $this->checklists,
            $this->adds,
            $this->gone,
            $this->turns,
        );
    }

    public function lead(): ?StaffMember
    {
        return [] === $this->leads ? null : $this->leads[\count($this->leads) - 1][1];
    }

    public function stage(): string
    {
        return [] === $this->stages ? '' : $this->stages[\count($this->stages) - 1][1];
    }

    /** The rule that has the plan accepted without anybody; null where none has. */
    public function acceptedBy(): ?Rule
    {
        foreach ($this->rules as $rule) {
            if ($rule->acceptsByItself) {
                return $rule;
            }
        }

        return null;
    }

    /** @param list<array{Rule, mixed}> $said as of a field */
    public static function leadsTo(array $said): ?Leads
    {
        return [] === $said ? null : Leads::rule($said[\count($said) - 1][0]->id);
    }

    /**
     * Which rule a field is from, and which said otherwise before.
     *
     * @param list<array{Rule, mixed}> $said
     */
    public static function why(array $said): string
    {
        if ([] === $said) {
            return '';
        }
        [$rule, $value] = $said[\count($said) - 1];
        $others = [];
        foreach (\array_slice($said, 0, -1) as [$earlier, $was]) {
            if ($was !== $value && $earlier !== $rule) {
                $others[] = $earlier->name;
            }
        }

        return $rule->name.([] === $others ? '' : ', which comes after '.implode(' and ', array_unique($others)));
    }
}
