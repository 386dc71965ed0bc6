<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A change of a kind that stays. */
final class CannotBeTakenBack extends Refusal
{
    public function __construct()
    {
        parent::__construct('This kind of change stays.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Cannot be taken back';
    }
}
