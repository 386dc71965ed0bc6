<?php

declare(strict_types=1);

namespace Telamon\Submissions;

enum SubmissionState: string
{
    case Waiting = 'waiting';
    case Accepted = 'accepted';
    case SetAside = 'set-aside';
}
