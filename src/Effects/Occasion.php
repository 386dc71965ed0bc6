<?php

declare(strict_types=1);

namespace Telamon\Effects;

/** What came in and has its plan carried out. */
final readonly class Occasion
{
    public function __construct(public string $id, public string $number, public string $name)
    {
    }
}
