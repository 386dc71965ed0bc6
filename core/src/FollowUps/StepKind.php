<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

enum StepKind: string
{
    case Send = 'send';
    /** A link to a booking page, to choose a time by. */
    case Times = 'times';
    /** The quote that is drafted for the project. */
    case Quote = 'quote';
    /** A link to a form that does not ask again who they are. */
    case Form = 'form';
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
        return \in_array($this, [self::Send, self::Times, self::Quote, self::Form], true);
    }
}
