<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Leads;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Text\TemplateRenderer;

/** Where a rule's line comes to stand, and what is known there. */
final readonly class RuleLine
{
    /**
     * @param string $key of the line
     * @param StaffMember $lead of the project
     * @param list<PlanLine> $before the lines so far
     * @param array<string, string> $fields merge fields
     */
    public function __construct(
        public PlanContext $now,
        public Rule $rule,
        public string $key,
        public StaffMember $lead,
        public array $before,
        public array $fields,
        private TemplateRenderer $renderer,
    ) {
    }

    /** A text with its merge fields filled in. */
    public function filled(string $template): string
    {
        return $this->renderer->body($template, $this->fields);
    }

    /** What the rule has done, with how whoever it names was chosen. */
    public function does(string $group, Effect $effect, ?RuleAction $action = null, ?Sources $from = null): PlanLine
    {
        $why = $action instanceof NamesSomebody ? $action->why() : '';

        return PlanLine::of($this->key, $group, $effect, $this->now->telling, $from)->because($this->rule->name.('' === $why ? '' : ", $why"), Leads::rule($this->rule->id));
    }

    /** What it does not do, and why. */
    public function says(string $group, string $words): PlanLine
    {
        return PlanLine::telling($this->key, $group, $words)->because($this->rule->name, Leads::rule($this->rule->id));
    }

    /**
     * @param class-string<Effect> ...$effects
     *
     * @return bool whether a line so far has one of them
     */
    public function has(string ...$effects): bool
    {
        return self::find($this->before, ...$effects);
    }

    /**
     * @param list<PlanLine> $lines
     * @param class-string<Effect> ...$effects
     */
    public static function find(array $lines, string ...$effects): bool
    {
        return [] !== array_filter($lines, static fn (PlanLine $line): bool => null !== $line->effect && \in_array($line->effect::class, $effects, true));
    }
}
