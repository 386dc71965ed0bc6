<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** One of the answers that a question offers. */
final readonly class Option
{
    /** @param list<string> $also other words for it, that are understood where it did not come from the page */
    public function __construct(public string $value, public string $label, public array $also = [])
    {
    }
}
