<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A message that did not fail. */
final class NotWaiting extends Refusal
{
    public function __construct()
    {
        parent::__construct('Only a message that failed can be sent again.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Not failed';
    }
}
