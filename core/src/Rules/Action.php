<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** One thing that a rule puts into a plan. */
final readonly class Action
{
    /** @param array<string, string> $values by name, as the kind needs them */
    public function __construct(public ActionKind $kind, public array $values)
    {
    }

    public function text(string $name): string
    {
        return $this->values[$name] ?? '';
    }
}
