<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** An appointment that can no longer be changed by its link. */
final class VisitOver extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Not by this page any more';
    }
}
