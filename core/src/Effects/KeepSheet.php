<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;

/** Keeps the submission as a PDF. */
final readonly class KeepSheet implements Effect
{
    public static function name(): string
    {
        return 'sheet.keep';
    }
}
