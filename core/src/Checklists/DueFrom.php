<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** What the due day of a task is counted from. */
enum DueFrom: string
{
    case Accepted = 'accepted';
    case Start = 'start';
    case ReadyBy = 'ready-by';
    case Appointment = 'appointment';
    case Item = 'item';
}
