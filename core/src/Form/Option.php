<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** One of the answers that a question offers. */
final readonly class Option
{
    public function __construct(public string $value, public string $label)
    {
    }
}
