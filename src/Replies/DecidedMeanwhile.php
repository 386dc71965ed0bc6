<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody has decided on it already. */
final class DecidedMeanwhile extends Refusal
{
    public function __construct()
    {
        parent::__construct('Somebody has decided on this message already. Look at it again.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Decided already';
    }
}
