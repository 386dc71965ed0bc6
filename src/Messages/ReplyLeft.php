<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Record\DomainEvent;

/** Somebody has read what came in and left it as it is: nothing needs to come of it. */
final class ReplyLeft extends DomainEvent
{
    public function __construct(public readonly Incoming $reply)
    {
    }
}
