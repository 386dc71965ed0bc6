<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

/** A postal address in parts; empty where nothing was said. */
final readonly class PostalAddress
{
    /** @param string $line house and street */
    public function __construct(public string $line, public string $locality = '', public string $postalCode = '', public string $country = '')
    {
    }

    /** On one line, as people write it. */
    public function oneLine(): string
    {
        return implode(', ', array_filter([$this->line, $this->locality, $this->postalCode, $this->country], static fn (string $part): bool => '' !== $part));
    }
}
