<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** One of two clients was merged into another meanwhile. */
final class MergedAlready extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Merged already';
    }
}
