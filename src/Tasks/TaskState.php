<?php

declare(strict_types=1);

namespace Telamon\Tasks;

enum TaskState: string
{
    case ToDo = 'to-do';
    case Waiting = 'waiting';
    case Done = 'done';
}
