<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Record\DomainEvent;

/** A message that did not reach whom it was for is sent again, perhaps to another address. */
final class SentAnew extends DomainEvent
{
    public function __construct(public readonly Message $message, public readonly string $before)
    {
    }
}
