<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\SetOff;
use Telamon\Core\Rules\Triggers\ClientChanged;

/** Says who looks after the client. */
final readonly class SetOwner implements NamesSomebody
{
    use OneOfTheStaff;

    public static function name(): string
    {
        return 'owner';
    }

    public static function phrase(): string
    {
        return 'let the client be looked after by';
    }

    public static function fields(): array
    {
        return [RuleField::who('staff', 'Who')];
    }

    public function words(): string
    {
        return 'an owner of the client';
    }

    public function setsOff(): SetOff
    {
        return new SetOff(ClientChanged::class, 'owner');
    }
}
