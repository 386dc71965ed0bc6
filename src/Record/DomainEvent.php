<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Something that happened to a record, told inside the change that wrote it: whoever listens writes under the same change. */
abstract class DomainEvent
{
    /** @var list<Journaled> */
    private array $touched = [];

    /** Told by a listener: what it made or changed because of this. */
    public function touch(Journaled ...$records): void
    {
        array_push($this->touched, ...array_values($records));
    }

    /** @return list<Journaled> what was made or changed because of it */
    public function touched(): array
    {
        return $this->touched;
    }
}
