<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

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
    ) {
    }

    /**
     * @param array<string, string> $decisions the value chosen, by the key of the choice
     *
     * @throws InvalidDecision when a decision names what the plan does not offer
     */
    public function plan(PlanInput $input, array $decisions = []): Plan
    {
        [$base, $outcome] = $this->lines($input, []);
        [$lines, $outcome] = [] === $decisions ? [$base, $outcome] : $this->lines($input, $decisions);
        $this->refuseUnknown($lines, $decisions);

        return new Plan($lines, Plan::fingerprintOf($base), $outcome);
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return array{list<PlanLine>, RuleOutcome}
     */
    private function lines(PlanInput $input, array $decisions): array
    {
        $client = $this->client->lines($input, $decisions);
        $input = $input->ruled($client->chosen, null !== ($client->lines[0] ?? null) && $client->lines[0]->isOpen());
        $lines = [
            ...$client->lines,
            ...$this->fields->client($input, $decisions, $client->chosen),
            ...$this->project->lines($input, $decisions, $client->chosen),
            ...$this->messages->lines($input),
        ];

        return [self::grouped([...$lines, ...$this->rules->lines($input, $lines)]), $input->outcome];
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
