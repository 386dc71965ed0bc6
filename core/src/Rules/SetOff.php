<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** What an action may set off: a trigger, and the stage or the field of a client that it happens to. */
final readonly class SetOff
{
    public function __construct(public Trigger $trigger, public string $what)
    {
    }
}
