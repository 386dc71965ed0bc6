<?php

declare(strict_types=1);

namespace Telamon\Core\People;

/** A member of staff as far as a plan names them. */
final readonly class StaffMember
{
    public function __construct(public string $id, public string $name, public string $email)
    {
    }

    public function firstName(): string
    {
        return explode(' ', $this->name)[0];
    }
}
