<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** What is undone is felt by people outside: that is asked first. */
final class FeltByThePublic extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'The public feels this';
    }
}
