<?php

declare(strict_types=1);

namespace Telamon\Business;

/** What a project in a stage is: still open, or closed as won or lost. */
enum StageEnd: string
{
    case Open = 'open';
    case Won = 'won';
    case Lost = 'lost';
}
