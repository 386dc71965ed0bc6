<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** The time is not free, or is no longer. */
final class TimeTaken extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'That time is not free';
    }
}
