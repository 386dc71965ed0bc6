<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Leads;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Actions\ClockLine;
use Telamon\Core\Planning\Actions\FieldLine;
use Telamon\Core\Planning\Actions\FillInLine;
use Telamon\Core\Planning\Actions\FollowUpLine;
use Telamon\Core\Planning\Actions\HoldLine;
use Telamon\Core\Planning\Actions\MessageLine;
use Telamon\Core\Planning\Actions\NoteLine;
use Telamon\Core\Planning\Actions\NoticeLine;
use Telamon\Core\Planning\Actions\OwnerLine;
use Telamon\Core\Planning\Actions\QuoteLine;
use Telamon\Core\Planning\Actions\RoomLine;
use Telamon\Core\Planning\Actions\SignLine;
use Telamon\Core\Planning\Actions\TagLine;
use Telamon\Core\Planning\Actions\TaskLine;
use Telamon\Core\Planning\Actions\TimesLine;
use Telamon\Core\Planning\Actions\WishLine;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Text\TemplateRenderer;

/** The plan's lines that handling rules add, in the order of the rules. */
final readonly class RuleLines
{
    /** @param list<ActionLines> $makers one a kind of action that adds a line */
    public function __construct(
        private TemplateRenderer $renderer = new TemplateRenderer(),
        private array $makers = [
            new TagLine(),
            new NoteLine(),
            new TaskLine(),
            new NoticeLine(),
            new OwnerLine(),
            new FieldLine(),
            new WishLine(),
            new MessageLine(),
            new ClockLine(),
            new TimesLine(),
            new HoldLine(),
            new QuoteLine(),
            new SignLine(),
            new FillInLine(),
            new FollowUpLine(),
            new RoomLine(),
        ],
    ) {
    }

    /**
     * @param list<PlanLine> $before the lines so far
     * @param StaffMember|null $lead of the project, where it is there already
     * @param array<string, string> $decisions
     * @param bool $asks whether somebody looks at the lines before they are carried out
     *
     * @return list<PlanLine>
     */
    public function lines(PlanContext $now, array $before, ?StaffMember $lead = null, array $decisions = [], bool $asks = true): array
    {
        $hasProject = null !== $lead || RuleLine::find($before, OpenProject::class, UseProject::class);
        $lead ??= self::leadOf($now, $before);
        $fields = self::fields($now);
        $lines = [];
        foreach ($now->ruling->outcome->adds as $i => [$rule, $action]) {
            $key = "rule.{$rule->id}.$i";
            $at = new RuleLine($now, $rule, $key, $lead, [...$before, ...$lines], $fields, $this->renderer);
            $line = match (true) {
                !$hasProject && $action->needsProject() => self::noProject($key, $rule->name),
                $asks && null !== ($choosing = $this->choosing($action)) => $choosing->choosing($action, $at, $decisions["$key.time"] ?? null),
                default => $this->line($action, $rule, $at, $decisions["$key.empty"] ?? null, $asks),
            };
            if (null !== $line) {
                $lines[] = $line;
            }
        }
        foreach ($now->ruling->outcome->gone as $i => [$rule, $what]) {
            $lines[] = PlanLine::telling("rule.{$rule->id}.gone.$i", 'Rules', "{$rule->name} names $what: nothing is done for it")->because($rule->name, Leads::rule($rule->id));
        }

        return $lines;
    }

    public static function noProject(string $key, string $rule): PlanLine
    {
        return PlanLine::telling($key, 'Rules', "$rule is about a project, and none comes of this: nothing is done for it")->because($rule);
    }

    private function choosing(RuleAction $action): ?ChoosingLines
    {
        $maker = $this->maker($action);

        return $maker instanceof ChoosingLines ? $maker : null;
    }

    private function maker(RuleAction $action): ?ActionLines
    {
        foreach ($this->makers as $maker) {
            if ($action::class === $maker::of()) {
                return $maker;
            }
        }

        return null;
    }

    /** An empty place would say something else than was meant: it is asked about, or where nobody is there to ask, left out. */
    private function line(RuleAction $action, Rule $rule, RuleLine $at, ?string $decided, bool $asks): ?PlanLine
    {
        $empty = $this->empty($action, $at->fields);
        $line = [] === $empty || 'without' === $decided ? $this->maker($action)?->line($action, $at) : null;
        if ([] === $empty) {
            return $line;
        }
        $choice = new Choice(
            "{$at->key}.empty",
            $decided,
            [['value' => 'leave', 'hotkey' => '1', 'label' => 'Leave it out'], ['value' => 'without', 'hotkey' => '2', 'label' => 'Go on without']],
        );
        $words = 'would name '.implode(' and ', $empty).', which '.(1 === \count($empty) ? 'is' : 'are').' empty here';

        return $line?->offering($choice) ?? PlanLine::telling(
            $at->key,
            'Rules',
            "{$rule->name} $words".(null === $decided && $asks ? '. Leave it out, or go on without?' : ': left out'),
        )
            ->because($rule->name, Leads::rule($rule->id))
            ->offering($asks ? $choice : null);
    }

    /**
     * @param array<string, string> $fields
     *
     * @return list<string> what the texts of an action name and nothing fills, as it stands there
     */
    private function empty(RuleAction $action, array $fields): array
    {
        $empty = [];
        foreach ($action->texts() as $text) {
            foreach ($this->renderer->fieldsOf($text) as $name) {
                if ('' === trim($fields[$name] ?? '')) {
                    $empty[] = "{{{$name}}}";
                }
            }
        }

        return array_values(array_unique($empty));
    }

    /** @param list<PlanLine> $before */
    private static function leadOf(PlanContext $now, array $before): StaffMember
    {
        $lead = $now->desk->coordinator;
        foreach ($before as $line) {
            if ($line->effect instanceof OpenProject) {
                $lead = $now->ruling->book->staff[$line->effect->lead] ?? $lead;
            }
        }

        return $lead;
    }

    /** @return array<string, string> merge fields: any answer by its key, and what is known of the project */
    public static function fields(PlanContext $now): array
    {
        $fields = $now->onFile->merge;
        $booked = $now->inquiry->booked;
        if (null !== $booked) {
            // What was booked says what it is for, where the form did not ask.
            $fields['service'] ??= $now->desk->services[$booked->service]->name ?? $booked->title;
        }
        foreach ($now->inquiry->readings->all as $reading) {
            $fields[$reading->question->key] ??= MoneyWords::of($reading, $now->desk->naming->currency);
        }

        return $fields;
    }
}
