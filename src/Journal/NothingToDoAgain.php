<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A change that has not been undone, or was done again already. */
final class NothingToDoAgain extends Refusal
{
    public function __construct()
    {
        parent::__construct('This has not been undone, or was done again already.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Nothing to do again';
    }
}
