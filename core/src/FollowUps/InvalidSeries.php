<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** A series that cannot be kept: where, and why. */
final class InvalidSeries extends \DomainException
{
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
