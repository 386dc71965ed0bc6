<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** What sets a handling rule off: a class a trigger. All of them stand in Triggers::ALL. */
abstract class Trigger
{
    /** As it is stored, and as the contract names it. */
    abstract public static function name(): string;

    /** How a sentence goes on after “when”. */
    abstract public function words(): string;

    /** Whether the rule speaks before a plan is accepted; the others act at once, on what is there. */
    public function isOfPlan(): bool
    {
        return false;
    }

    /** Whether it begins with a submission, so that a rule may be for some forms only. */
    public function hasForms(): bool
    {
        return $this->isOfPlan();
    }

    /** What it may happen to in particular: a stage, a field; null where there is nothing to choose. */
    public function what(): ?RuleField
    {
        return null;
    }

    /** Whether something that somebody added by hand may be left out. */
    public function tellsByHand(): bool
    {
        return false;
    }

    /** What is said beside it; empty for nothing. */
    public function hint(): string
    {
        return $this->isOfPlan() ? '' : 'It acts at once, and one Undo takes it back with what set it off.';
    }

    /**
     * What is known when it is tried as if it happened now.
     *
     * @param string $what it happens to; empty for anything
     *
     * @return array<string, string>
     */
    public function asIf(string $what): array
    {
        return [];
    }

    /** @return array<string, mixed> as RuleTrigger in api/openapi.yaml */
    public function toArray(): array
    {
        return [
            'value' => static::name(),
            'label' => $this->words(),
            'ofPlan' => $this->isOfPlan(),
            'hasForms' => $this->hasForms(),
            'byHand' => $this->tellsByHand(),
            'hint' => $this->hint(),
            'what' => $this->what()?->toArray(),
        ];
    }
}
