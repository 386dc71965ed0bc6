<?php

declare(strict_types=1);

namespace Telamon\Record;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody else has changed a record since it was opened. */
final class ChangedMeanwhile extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Changed meanwhile';
    }
}
