<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A quote that cannot be answered (any more). */
final class QuoteOver extends Refusal
{
    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'Not as it stands';
    }
}
