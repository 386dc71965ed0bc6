<?php

declare(strict_types=1);

namespace Telamon\Importing;

/** Asks the worker to carry an import out. */
final readonly class ImportJob
{
    public function __construct(public string $id)
    {
    }
}
