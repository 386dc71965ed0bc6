<?php

declare(strict_types=1);

namespace Telamon\Intake;

enum SubmissionState: string
{
    case Waiting = 'waiting';
    case Accepted = 'accepted';
    case SetAside = 'set-aside';
}
