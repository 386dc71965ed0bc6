<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

/** Thrown where something of a quote cannot be; the path says where. */
final class InvalidContent extends \InvalidArgumentException
{
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
