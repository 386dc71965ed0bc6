<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

enum StepKind: string
{
    case Send = 'send';
    case Wait = 'wait';
    case Task = 'task';
    case Notice = 'notice';
    case Stage = 'stage';
    case Tag = 'tag';
    /** On with a step of the main course. */
    case GoOn = 'go-on';
    case Stop = 'stop';
}
