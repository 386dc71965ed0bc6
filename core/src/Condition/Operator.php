<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

/** How an answer is asked about. */
enum Operator: string
{
    case Is = 'is';
    case IsOneOf = 'is-one-of';
    case Contains = 'contains';
    case HasWord = 'has-word';
    case HasNoneOf = 'has-none-of';
    case IsBlank = 'is-blank';
    case MoreThan = 'more-than';
    case AtMost = 'at-most';
    case Before = 'before';
    case After = 'after';
    case WithinDays = 'within-days';
    case Between = 'between';

    /** In words, between a question and a value. */
    public function words(): string
    {
        return match ($this) {
            self::Is => 'is',
            self::IsOneOf => 'is one of',
            self::Contains => 'contains the letters',
            self::HasWord => 'contains the word',
            self::HasNoneOf => 'contains none of',
            self::IsBlank => 'is blank',
            self::MoreThan => 'is more than',
            self::AtMost => 'is at most',
            self::Before => 'is before',
            self::After => 'is after',
            self::WithinDays => 'is within the next days:',
            self::Between => 'is between',
        };
    }
}
