<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\AddTask;
use Telamon\Core\Matching\ComparedField;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\RuleOutcome;

/** Makes the plan for a submission. It decides and never writes. */
final readonly class Planner
{
    public function __construct(
        private ClientLines $client,
        private ProjectLines $project,
        private MessageLines $messages,
        private FieldLines $fields = new FieldLines(),
        private RuleLines $rules = new RuleLines(),
        private Amender $amender = new Amender(),
        private UnreadLines $unread = new UnreadLines(),
        private ConsentLines $consents = new ConsentLines(),
    ) {
    }

    /**
     * @param array<string, string> $decisions the value chosen, by the key of the choice
     * @param array<string, string> $kept choices made earlier: they count where they are still offered
     *
     * @throws InvalidDecision when a decision names what the plan does not offer
     */
    public function plan(PlanContext $now, array $decisions = [], array $kept = []): Plan
    {
        [$base, $outcome] = $this->lines($now->with($now->ruling->outcome, new Amendments()), []);
        $decisions += self::offered($base, $kept);
        $later = array_diff_key($kept, $decisions);
        if ([] !== $later && !$now->amendments->isEmpty()) {
            // A choice that only what somebody changed gives rise to.
            $decisions += self::offered($this->lines($now, $decisions)[0], $later);
        }
        [$lines, $outcome] = [] === $decisions && $now->amendments->isEmpty() ? [$base, $outcome] : $this->lines($now, $decisions);
        $this->refuseUnknown($lines, $decisions);

        return new Plan($lines, Plan::fingerprintOf($base), $outcome);
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return array{list<PlanLine>, RuleOutcome}
     */
    private function lines(PlanContext $now, array $decisions): array
    {
        $client = $this->client->lines($now, $decisions);
        $now = $now->ruled($client->chosen, null !== ($client->lines[0] ?? null) && $client->lines[0]->isOpen());
        $lines = [
            ...$client->lines,
            ...$this->unread->lines($now, $decisions, 'client'),
            ...$this->fields->client($now, $decisions, $client->chosen),
            ...$this->consents->lines($now),
            ...$this->project->lines($now, $decisions, $client->chosen),
            ...$this->unread->lines($now, $decisions, 'project'),
        ];
        $lines = [...$lines, ...$this->messages->lines($now, $lines, $client->chosen)];

        $lines = [...$lines, ...$this->rules->lines($now, $lines, null, $decisions)];
        $tasks = \count(array_filter($lines, static fn (PlanLine $line): bool => $line->effect instanceof AddTask));
        $lines = $this->amender->amend([...$lines, ...$this->amender->added($now, $tasks)], $now);
        $lines = $this->messages->settled($lines, $now, $decisions);

        return [self::grouped(self::told($lines)), $now->ruling->outcome];
    }

    /**
     * What differs from the file, with what the plan does about it: no more is said than is done.
     *
     * @param list<PlanLine> $lines
     *
     * @return list<PlanLine>
     */
    private static function told(array $lines): array
    {
        $done = [];
        foreach ($lines as $line) {
            if (null !== $line->choice && str_starts_with($line->key, 'field.')) {
                $done[substr($line->key, 6)] = ['both' => ', both kept', 'replace' => ', replaced', 'keep' => ', yours is kept'][$line->choice->chosen ?? ''] ?? '';
            }
        }

        return array_map(
            static fn (PlanLine $line): PlanLine => [] === $line->compared ? $line : $line->comparing(array_map(
                static fn (ComparedField $field): ComparedField => $field->doing($done[lcfirst($field->field)] ?? ''),
                $line->compared,
            )),
            $lines,
        );
    }

    /**
     * @param list<PlanLine> $lines
     * @param array<string, string> $choices
     *
     * @return array<string, string> those that the lines offer
     */
    private static function offered(array $lines, array $choices): array
    {
        $offered = [];
        foreach ($lines as $line) {
            $choice = $line->choice;
            if (null !== $choice && isset($choices[$choice->key]) && \in_array($choices[$choice->key], array_column($choice->options, 'value'), true)) {
                $offered[$choice->key] = $choices[$choice->key];
            }
        }

        return $offered;
    }

    /**
     * Lines of one group together, the groups in the order of their first lines.
     *
     * @param list<PlanLine> $lines
     *
     * @return list<PlanLine>
     */
    private static function grouped(array $lines): array
    {
        $groups = [];
        foreach ($lines as $line) {
            $groups[$line->group][] = $line;
        }

        return array_merge(...array_values($groups));
    }

    /**
     * @param list<PlanLine> $lines
     * @param array<string, string> $decisions
     */
    private function refuseUnknown(array $lines, array $decisions): void
    {
        $offered = [];
        foreach ($lines as $line) {
            if (null !== $line->choice) {
                $offered[$line->choice->key] = array_column($line->choice->options, 'value');
            }
        }
        foreach ($decisions as $key => $value) {
            if (!isset($offered[$key])) {
                throw new InvalidDecision("decisions.$key", 'The plan has no such choice.');
            }
            if (!\in_array($value, $offered[$key], true)) {
                throw new InvalidDecision("decisions.$key", 'Choose one of: '.implode(', ', $offered[$key]).'.');
            }
        }
    }
}
