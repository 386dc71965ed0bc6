<?php

declare(strict_types=1);

namespace Telamon\Notices;

enum PostState: string
{
    case Waiting = 'waiting';
    case Sent = 'sent';
    case Failed = 'failed';
}
