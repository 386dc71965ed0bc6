<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Triggers;

use Telamon\Core\Rules\Trigger;

/** A plan was accepted. */
final class Accepted extends Trigger
{
    public static function name(): string
    {
        return 'accepted';
    }

    public function words(): string
    {
        return 'a plan has been accepted';
    }

    public function hasForms(): bool
    {
        return true;
    }

    public function hint(): string
    {
        return 'It acts when the plan is accepted, after all its lines.';
    }
}
