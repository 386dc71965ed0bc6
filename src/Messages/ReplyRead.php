<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Record\DomainEvent;

/** It is settled what a reply means, by its words or by a person. */
final class ReplyRead extends DomainEvent
{
    /** @param \DateTimeImmutable|null $day that a "later" names, by the calendar of the business; always to come */
    public function __construct(public readonly Incoming $reply, public readonly ?\DateTimeImmutable $day = null)
    {
    }
}
