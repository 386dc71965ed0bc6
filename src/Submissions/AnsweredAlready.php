<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody answered before. */
final class AnsweredAlready extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Answered already';
    }
}
