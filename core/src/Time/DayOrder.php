<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** How a source writes days in figures. Unstated means that 04/05 may be either of two days. */
enum DayOrder: string
{
    case DayFirst = 'day-first';
    case MonthFirst = 'month-first';
    case Unstated = 'unstated';

    /** The 12th of June as it may be written; in figures only where they can mean one day. */
    public function example(): string
    {
        return '12 June 2027'.match ($this) {
            self::DayFirst => ' or 12/06/2027',
            self::MonthFirst => ' or 06/12/2027',
            self::Unstated => '',
        };
    }
}
