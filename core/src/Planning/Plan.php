<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Rules\RuleOutcome;

/** What Telamon will do if the coordinator accepts, line by line. */
final readonly class Plan
{
    /**
     * @param list<PlanLine> $lines
     * @param string $fingerprint of the plan before any decision: it changes when what is planned changes,
     *                            not when a person chooses
     * @param RuleOutcome $outcome of the handling rules
     */
    public function __construct(public array $lines, public string $fingerprint, public RuleOutcome $outcome = new RuleOutcome())
    {
    }

    /** @return list<PlanLine> the lines that wait for a choice */
    public function open(): array
    {
        return array_values(array_filter($this->lines, static fn (PlanLine $line): bool => $line->isOpen()));
    }

    /** @return array{fingerprint: string, open: int, lines: list<array<string, mixed>>} as Plan in api/openapi.yaml */
    public function toArray(): array
    {
        $lines = [];
        foreach ($this->lines as $i => $line) {
            $lines[] = $line->toArray($i + 1);
        }

        return ['fingerprint' => $this->fingerprint, 'open' => \count($this->open()), 'lines' => $lines];
    }

    /** @param list<PlanLine> $lines */
    public static function fingerprintOf(array $lines): string
    {
        $data = [];
        foreach ($lines as $i => $line) {
            $data[] = [$line->toArray($i + 1), $line->effect?->kind->value, $line->effect?->values];
        }

        return hash('sha256', json_encode($data, \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE));
    }
}
