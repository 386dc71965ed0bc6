<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

/** A person's name in parts, in the person's own spelling. */
final readonly class PersonName
{
    public function __construct(public string $given, public string $family)
    {
    }

    public function full(): string
    {
        return trim($this->given.' '.$this->family);
    }
}
