<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Settings of a type of appointment that cannot be. */
final class InvalidType extends \RuntimeException
{
    /** @param string $path the setting */
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
