<?php

declare(strict_types=1);

namespace Telamon\Messages;

enum IncomingState: string
{
    /** A person has to look. */
    case Open = 'open';
    case Done = 'done';
    /** Nothing needs to come of it: machine mail, or somebody said so. */
    case Left = 'left';
}
