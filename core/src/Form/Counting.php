<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** How the answers to a question are counted. */
enum Counting
{
    case Choices;
    /** Whole numbers of a scale: by their value, and as numbers. */
    case Steps;
    case Numbers;

    public function isNumber(): bool
    {
        return self::Choices !== $this;
    }
}
