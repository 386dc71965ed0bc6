<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** The day that a task's due date is counted from. */
enum DueFrom: string
{
    case Accepted = 'accepted';
    case ReadyBy = 'ready-by';
}
