<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** What the due day of a task is counted in. */
enum DueUnit: string
{
    case WorkingDays = 'days';
    case CalendarDays = 'calendar';
    case Hours = 'hours';
}
