<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** What an undo or a redo would write is beyond what whoever asks may do today. */
final class MayNotWrite extends Refusal
{
    public function __construct(string $label)
    {
        parent::__construct("It would change “{$label}”, which you may not change. Ask somebody who may.");
    }

    public function nature(): Nature
    {
        return Nature::NotAllowed;
    }

    public function title(): string
    {
        return 'Not allowed';
    }
}
