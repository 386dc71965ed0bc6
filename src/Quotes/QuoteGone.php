<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A quote that was withdrawn, or replaced by another: nothing of it is shown any more. */
final class QuoteGone extends Refusal
{
    public function __construct()
    {
        parent::__construct('It is no longer good: there is another one, or we withdrew it. Look into your mail, or ask us.');
    }

    public function nature(): Nature
    {
        return Nature::Gone;
    }

    public function title(): string
    {
        return 'No longer good';
    }
}
