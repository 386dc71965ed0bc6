<?php

declare(strict_types=1);

namespace Telamon\Effects;

/** What came in and has its plan carried out. */
final readonly class Occasion
{
    /** @param string $source where it came from, as it was told; empty where nobody said */
    public function __construct(public string $id, public string $number, public string $name, public string $source = '')
    {
    }
}
