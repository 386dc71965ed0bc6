<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** A set of permissions under a name. This is the one place that knows what a role may do. */
enum Role: string
{
    case Owner = 'owner';
    case Coordinator = 'coordinator';
    case Field = 'field';

    /** @return list<Permission> */
    public function may(): array
    {
        return match ($this) {
            self::Owner, self::Coordinator => Permission::cases(),
            self::Field => [Permission::Work],
        };
    }
}
