<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A task that somebody finished before. */
final class FinishedAlready extends Refusal
{
    public function __construct()
    {
        parent::__construct('Somebody finished this task before.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Finished already';
    }
}
