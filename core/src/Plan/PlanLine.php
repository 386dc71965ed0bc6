<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

use Telamon\Core\Matching\ComparedField;

/** One thing that accepting the plan does, in words and as data. */
final readonly class PlanLine
{
    /**
     * @param string $key stays the same when the plan is made again
     * @param Effect|null $effect what to write; null where the line only tells or asks
     * @param list<ComparedField> $compared
     */
    private function __construct(
        public string $key,
        public string $group,
        public Said $said,
        public ?Effect $effect = null,
        public ?Choice $choice = null,
        public array $compared = [],
        public Handled $handled = Handled::AsPlanned,
        private bool $isLoose = false,
    ) {
    }

    /** A line whose sentence is what its effect says. */
    public static function of(string $key, string $group, Effect $effect, Telling $telling, ?Sources $from = null): self
    {
        return new self($key, $group, Said::of($effect, $telling, $from ?? Sources::none()), $effect);
    }

    /** A line that only tells or asks; with an effect where the sentence says more than the effect knows. */
    public static function telling(string $key, string $group, string|Part ...$sentence): self
    {
        return new self($key, $group, Said::words(...$sentence));
    }

    /**
     * @param string $reason a rule's or checklist's name, or what speaks for it
     * @param Leads|null $leads where that stands
     */
    public function because(string $reason, ?Leads $leads = null): self
    {
        return $this->with(said: $this->said->because($reason, $leads));
    }

    /** It only tells, and what it tells can be left out all the same: whoever makes the lines then goes without. */
    public function loose(): self
    {
        return new self($this->key, $this->group, $this->said, $this->effect, $this->choice, $this->compared, $this->handled, true);
    }

    /** @param string $note what stands beside it */
    public function noting(string $note): self
    {
        return $this->with(said: $this->said->noting($note));
    }

    public function doing(?Effect $effect): self
    {
        return $this->with($effect);
    }

    /** With a choice that is to be made, or that somebody made and may make again. */
    public function offering(?Choice $choice): self
    {
        return $this->with(choice: $choice);
    }

    /** @param list<ComparedField> $compared */
    public function comparing(array $compared): self
    {
        return $this->with(compared: $compared);
    }

    /** The same line, left out: it tells, and does nothing. */
    public function dropped(): self
    {
        return new self($this->key, $this->group, $this->said->noting('')->because('left out'), handled: $this->handled->dropped());
    }

    /**
     * With values that somebody changed.
     *
     * @param list<string> $changed their names
     */
    public function amended(Changeable $effect, Telling $telling, array $changed): self
    {
        return new self($this->key, $this->group, $this->said->amended($effect, $telling, $changed), $effect, $this->choice, $this->compared, Handled::Amended);
    }

    public function isDropped(): bool
    {
        return $this->handled->isDropped();
    }

    public function isOpen(): bool
    {
        return null !== $this->choice && null === $this->choice->chosen;
    }

    /** Who is served and what is done stay; everything else can be left out. */
    public function canDrop(): bool
    {
        return $this->isLoose || (null !== $this->effect && !$this->effect instanceof Essential);
    }

    /** @return array<string, mixed> as PlanLine in api/openapi.yaml */
    public function toArray(int $number): array
    {
        return [
            'number' => $number,
            'key' => $this->key,
            'group' => $this->group,
            'parts' => array_map(static fn (Part $part): array => $part->toArray(), $this->said->parts),
            'note' => $this->said->note,
            'reason' => $this->said->reason,
            'leads' => $this->said->leads?->toArray(),
            'choice' => $this->choice?->toArray(),
            'dropped' => $this->isDropped(),
            'amended' => $this->handled->isAmended(),
            'canDrop' => $this->isDropped() || $this->canDrop(),
            'fields' => array_map(static fn (LineField $field): array => $field->toArray(), $this->effect instanceof Changeable ? $this->effect->fields() : []),
            'compared' => array_map(
                static fn (ComparedField $field): array => ['answer' => 0 === $field->answer ? null : $field->answer] + get_object_vars($field),
                $this->compared,
            ),
        ];
    }

    /** @param list<ComparedField>|null $compared */
    private function with(?Effect $effect = null, ?Said $said = null, ?Choice $choice = null, ?array $compared = null): self
    {
        return new self(
            $this->key,
            $this->group,
            $said ?? $this->said,
            $effect ?? $this->effect,
            $choice ?? $this->choice,
            $compared ?? $this->compared,
            $this->handled,
            $this->isLoose,
        );
    }
}
