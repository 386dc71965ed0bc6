<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\NamesSomebody;

/** Tells somebody of the staff. */
final readonly class TellSomebody implements NamesSomebody
{
    use OneOfTheStaff;

    public static function name(): string
    {
        return 'notice';
    }

    public function words(): string
    {
        return 'a notice';
    }
}
