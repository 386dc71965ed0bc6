<?php

declare(strict_types=1);

namespace Telamon\Core\People;

/** A member of staff as far as a plan names them. */
final readonly class StaffMember
{
    public function __construct(public string $id, public string $name, public string $email)
    {
    }

    /** “Nessa”; “The Owner” and “Dr Vell” are called that. */
    public function firstName(): string
    {
        $names = preg_split('/\s+/', trim($this->name)) ?: [''];

        return \count($names) > 1 && 1 === preg_match('/^(the|a|an|mr|mrs|ms|mx|dr)\.?$/i', $names[0]) ? trim($this->name) : $names[0];
    }
}
