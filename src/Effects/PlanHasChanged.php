<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Something that a plan rests on is otherwise by now. */
final class PlanHasChanged extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'The plan has changed';
    }
}
