<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Matching\ComparedField;

/** One thing that accepting the plan does, in words and as data. */
final readonly class PlanLine
{
    /**
     * @param string $key stays the same when the plan is made again
     * @param list<Part> $parts the sentence
     * @param string $reason a rule's or checklist's name
     * @param Effect|null $effect what to write; null where the line only tells or asks
     * @param list<ComparedField> $compared
     */
    public function __construct(
        public string $key,
        public string $group,
        public array $parts,
        public ?Effect $effect = null,
        public string $note = '',
        public string $reason = '',
        public ?Choice $choice = null,
        public array $compared = [],
    ) {
    }

    public function isOpen(): bool
    {
        return null !== $this->choice && null === $this->choice->chosen;
    }

    /** @return array<string, mixed> as PlanLine in api/openapi.yaml */
    public function toArray(int $number): array
    {
        return [
            'number' => $number,
            'key' => $this->key,
            'group' => $this->group,
            'parts' => array_map(static fn (Part $part): array => $part->toArray(), $this->parts),
            'note' => $this->note,
            'reason' => $this->reason,
            'choice' => $this->choice?->toArray(),
            'compared' => array_map(static fn (ComparedField $field): array => ['answer' => 0 === $field->answer ? null : $field->answer] + get_object_vars($field), $this->compared),
        ];
    }
}
