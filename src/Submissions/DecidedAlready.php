<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A submission that was accepted or set aside before. */
final class DecidedAlready extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Decided already';
    }
}
