<?php

declare(strict_types=1);

namespace Telamon\Access;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A record that somebody has no part in. */
final class NotYours extends Refusal
{
    public function __construct()
    {
        parent::__construct('This is about work that you have no part in. Ask a coordinator if you should.');
    }

    public function nature(): Nature
    {
        return Nature::NotAllowed;
    }

    public function title(): string
    {
        return 'Not yours to see';
    }
}
