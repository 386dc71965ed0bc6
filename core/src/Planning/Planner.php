<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

/** Makes the plan for a submission. It decides and never writes. */
final readonly class Planner
{
    public function __construct(
        private ClientLines $client,
        private ProjectLines $project,
        private MessageLines $messages,
        private FieldLines $fields = new FieldLines(),
    ) {
    }

    /**
     * @param array<string, string> $decisions the value chosen, by the key of the choice
     *
     * @throws InvalidDecision when a decision names what the plan does not offer
     */
    public function plan(PlanInput $input, array $decisions = []): Plan
    {
        $base = $this->lines($input, []);
        $lines = [] === $decisions ? $base : $this->lines($input, $decisions);
        $this->refuseUnknown($lines, $decisions);

        return new Plan($lines, Plan::fingerprintOf($base));
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function lines(PlanInput $input, array $decisions): array
    {
        $client = $this->client->lines($input, $decisions);

        return [
            ...$client->lines,
            ...$this->fields->client($input, $decisions, $client->chosen),
            ...$this->project->lines($input, $decisions, $client->chosen),
            ...$this->messages->lines($input),
        ];
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
