<?php

declare(strict_types=1);

namespace Telamon\Access;

/** Asked for by whoever wrote an address; whether anybody has it is found out by the worker, so that no answer tells. */
final readonly class SendPasswordLink
{
    /** @param bool $invites whether somebody of the business asked them in, rather than they themselves */
    public function __construct(public string $email, public bool $invites = false)
    {
    }
}
