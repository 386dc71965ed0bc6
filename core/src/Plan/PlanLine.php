<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

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
        public bool $isDropped = false,
        public bool $isAmended = false,
    ) {
    }

    /** The same line, left out: it tells, and does nothing. */
    public function dropped(): self
    {
        return new self($this->key, $this->group, $this->parts, null, '', 'left out', null, [], true, $this->isAmended);
    }

    /**
     * With what somebody made of it.
     *
     * @param list<Part> $parts
     */
    public function amended(array $parts, Effect $effect): self
    {
        return new self($this->key, $this->group, $parts, $effect, $this->note, $this->reason, $this->choice, $this->compared, false, true);
    }

    /** With another effect, and what is noted beside it. */
    public function doing(Effect $effect, string $note): self
    {
        return new self($this->key, $this->group, $this->parts, $effect, $note, $this->reason, $this->choice, $this->compared, $this->isDropped, $this->isAmended);
    }

    /** With a choice that somebody made of it, and may make again. */
    public function offering(Choice $choice): self
    {
        return new self($this->key, $this->group, $this->parts, $this->effect, $this->note, $this->reason, $choice, $this->compared, $this->isDropped, $this->isAmended);
    }

    /** @param list<ComparedField> $compared */
    public function comparing(array $compared): self
    {
        return new self($this->key, $this->group, $this->parts, $this->effect, $this->note, $this->reason, $this->choice, $compared, $this->isDropped, $this->isAmended);
    }

    public function isOpen(): bool
    {
        return null !== $this->choice && null === $this->choice->chosen;
    }

    /** Who is served and what is done stay; everything else can be left out. */
    public function canDrop(): bool
    {
        return null !== $this->effect && !$this->effect instanceof Essential;
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
            'dropped' => $this->isDropped,
            'amended' => $this->isAmended,
            'canDrop' => $this->isDropped || $this->canDrop(),
            'fields' => array_map(static fn (LineField $field): array => $field->toArray(), $this->effect instanceof Changeable ? $this->effect->fields() : []),
            'compared' => array_map(static fn (ComparedField $field): array => ['answer' => 0 === $field->answer ? null : $field->answer] + get_object_vars($field), $this->compared),
        ];
    }
}
