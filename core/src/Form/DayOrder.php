<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** How a source writes days in figures. Unstated means that 04/05 may be either of two days. */
enum DayOrder: string
{
    case DayFirst = 'day-first';
    case MonthFirst = 'month-first';
    case Unstated = 'unstated';
}
