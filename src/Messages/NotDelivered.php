<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Record\DomainEvent;

/** A message did not reach whom it was for: it was refused, or came back, or nobody took it for two days. */
final class NotDelivered extends DomainEvent
{
    public function __construct(public readonly Message $message)
    {
    }
}
