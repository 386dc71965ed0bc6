<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A letter by hand left under the same id with other words: from another window, or before it was changed. */
final class WrittenBefore extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Sent already, with other words';
    }
}
