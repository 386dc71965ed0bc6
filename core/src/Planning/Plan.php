<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Matching\ComparedField;
use Telamon\Core\Plan\Part;
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

    /**
     * Of names and values, not of sentences: the same plan told in other words, or in another language, is the same.
     *
     * @param list<PlanLine> $lines
     *
     * @return string SHA-256 in hexadecimal
     */
    public static function fingerprintOf(array $lines): string
    {
        $data = [];
        foreach ($lines as $line) {
            $data[] = [
                $line->key,
                null === $line->effect ? null : [$line->effect::name(), get_object_vars($line->effect)],
                null === $line->choice ? null : [$line->choice->key, $line->choice->chosen, array_column($line->choice->options, 'value')],
                array_map(
                    static fn (Part $part): array => [$part->text, $part->answer, $part->record['id'] ?? null],
                    array_values(array_filter($line->said->parts, static fn (Part $part): bool => $part->value)),
                ),
                array_map(static fn (ComparedField $field): array => [$field->here, $field->there, $field->same], $line->compared),
                $line->isDropped(),
            ];
        }

        return hash('sha256', json_encode($data, \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE));
    }
}
