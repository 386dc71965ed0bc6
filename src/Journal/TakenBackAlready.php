<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody took the change back before. */
final class TakenBackAlready extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Taken back already';
    }
}
