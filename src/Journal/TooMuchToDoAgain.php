<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A change of more records than are done again at once. */
final class TooMuchToDoAgain extends Refusal
{
    public function __construct()
    {
        parent::__construct('Do it from the beginning instead.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Too much to do again';
    }
}
