<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A form that takes nothing at the moment. */
final class FormClosed extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Gone;
    }

    public function title(): string
    {
        return 'Closed';
    }
}
