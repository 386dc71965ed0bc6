<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\RuleField;

/** Tells somebody of the staff. */
final readonly class TellSomebody implements NamesSomebody
{
    use OneOfTheStaff;

    public static function name(): string
    {
        return 'notice';
    }

    public static function phrase(): string
    {
        return 'tell';
    }

    public static function fields(): array
    {
        return [RuleField::who('staff', 'Who')];
    }

    public function words(): string
    {
        return 'a notice';
    }
}
