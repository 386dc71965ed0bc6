<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

/** Asks the worker for the next stretch of a look-back. */
final readonly class LookBackJob
{
    public function __construct(public string $id)
    {
    }
}
