<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** What an action may set off: a trigger, and the stage or the field of a client that it happens to. */
final readonly class SetOff
{
    /** @param class-string<Trigger> $trigger */
    public function __construct(public string $trigger, public string $what)
    {
    }
}
