<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Something else came under the same key. */
final class SentBefore extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Sent before with other answers';
    }
}
