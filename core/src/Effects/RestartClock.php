<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;

/** An answer is owed again: the promise of the form begins anew. */
final readonly class RestartClock implements Effect
{
    public static function name(): string
    {
        return 'clock.restart';
    }
}
