<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Record\DomainEvent;

/** Somebody answered: what nudges them waits, whatever it means. */
final class ReplyCame extends DomainEvent
{
    public function __construct(public readonly Incoming $reply)
    {
    }
}
