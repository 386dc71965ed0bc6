<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\SetOff;
use Telamon\Core\Rules\Trigger;

/** Says who looks after the client. */
final readonly class SetOwner implements NamesSomebody
{
    use OneOfTheStaff;

    public static function name(): string
    {
        return 'owner';
    }

    public function words(): string
    {
        return 'an owner of the client';
    }

    public function setsOff(): SetOff
    {
        return new SetOff(Trigger::ClientChanged, 'owner');
    }
}
