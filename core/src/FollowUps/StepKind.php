<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

enum StepKind: string
{
    case Send = 'send';
    /** A link to a booking page, to choose a time by. */
    case Times = 'times';
    case Wait = 'wait';
    case Task = 'task';
    case Notice = 'notice';
    case Stage = 'stage';
    case Tag = 'tag';
    /** On with a step of the main course. */
    case GoOn = 'go-on';
    case Stop = 'stop';

    /** Whether the client gets something: not while it is quiet. */
    public function reachesThem(): bool
    {
        return self::Send === $this || self::Times === $this;
    }
}
