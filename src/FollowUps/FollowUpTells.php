<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Telamon\Record\DomainEvent;

/** A follow-up tells staff something, in a room. */
final class FollowUpTells extends DomainEvent
{
    public function __construct(public readonly FollowUpRun $run, public readonly string $room, public readonly string $words)
    {
    }
}
