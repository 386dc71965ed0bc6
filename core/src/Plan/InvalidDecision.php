<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** A decision names a choice or a value that the plan does not offer. */
final class InvalidDecision extends \InvalidArgumentException
{
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
