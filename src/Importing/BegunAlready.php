<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A file that is being brought in, or has been. */
final class BegunAlready extends Refusal
{
    public function __construct()
    {
        parent::__construct('This file is being brought in, or has been.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Begun already';
    }
}
