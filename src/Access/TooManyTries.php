<?php

declare(strict_types=1);

namespace Telamon\Access;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Something was tried too often. */
final class TooManyTries extends Refusal
{
    public function nature(): Nature
    {
        return Nature::TooMany;
    }

    public function title(): string
    {
        return 'Too many tries';
    }
}
