<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** The readings of one submission, in the order of its questions. */
final readonly class Readings
{
    /** @param list<Reading> $all answered questions only */
    public function __construct(public array $all)
    {
    }

    /**
     * With those of a form that was filled in before, after these. Their numbers belong to another sheet, and fall away.
     */
    public function with(self $before): self
    {
        return new self([...$this->all, ...array_map(static fn (Reading $reading): Reading => $reading->withoutNumber(), $before->all)]);
    }

    public function for(Destination $destination): ?Reading
    {
        foreach ($this->all as $reading) {
            if ($reading->question->destination === $destination) {
                return $reading;
            }
        }

        return null;
    }

    /** @return list<Reading> */
    public function allFor(?Destination $destination): array
    {
        return array_values(array_filter($this->all, static fn (Reading $r): bool => $r->question->destination === $destination));
    }

    /** How many answers can be read in more than one way and must be decided. */
    public function doubts(): int
    {
        return \count(array_filter($this->all, static fn (Reading $r): bool => $r->needsChoice()));
    }
}
