<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

enum RunState: string
{
    case Inside = 'inside';
    /** They wrote or filled in a form, and nobody has said what it means yet. */
    case Paused = 'paused';
    case Ended = 'ended';
}
