<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody else has changed the plan since it was opened. */
final class DecidedMeanwhile extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Decided meanwhile';
    }
}
