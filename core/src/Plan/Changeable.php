<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** An effect of which somebody may change values before accepting. */
interface Changeable extends Effect
{
    /** @return list<LineField> what may be changed */
    public function fields(): array;

    /** @param array<string, string> $values by the keys of the fields, read and checked */
    public function with(array $values): static;
}
