<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What is wrong with one answer, and what to do about it. */
final readonly class Violation
{
    /** @param string $path the key of the question */
    public function __construct(public string $path, public string $message)
    {
    }
}
