<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** The words of the English calendar: months, days of the week, small numbers. */
final class CalendarWords
{
    public const MONTH = '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\.?';
    public const WEEKDAY = '(?:mon(?:day)?|tue(?:s(?:day)?)?|wed(?:nesday)?|thu(?:r(?:s(?:day)?)?)?|fri(?:day)?|sat(?:urday)?|sun(?:day)?)\.?';
    public const NUMBER = '(?:\d{1,3}|an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';

    private const MONTHS = ['jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6, 'jul' => 7, 'aug' => 8, 'sep' => 9, 'oct' => 10, 'nov' => 11, 'dec' => 12];
    private const WEEKDAYS = ['mon' => 1, 'tue' => 2, 'wed' => 3, 'thu' => 4, 'fri' => 5, 'sat' => 6, 'sun' => 7];
    private const NUMBERS = [
        'a' => 1,
        'an' => 1,
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
    ];

    /** @param string $word one that MONTH fits, in small letters */
    public static function month(string $word): int
    {
        return self::MONTHS[substr($word, 0, 3)] ?? 0;
    }

    /**
     * @param string $word one that WEEKDAY fits, in small letters
     *
     * @return int ISO 8601, Monday is 1
     */
    public static function weekday(string $word): int
    {
        return self::WEEKDAYS[substr($word, 0, 3)] ?? 0;
    }

    /** @param string $word one that NUMBER fits, in small letters */
    public static function number(string $word): int
    {
        return self::NUMBERS[$word] ?? (int) $word;
    }

    /** @param string $year four figures, or two with or without an apostrophe: 20xx */
    public static function year(string $year): int
    {
        $figures = ltrim($year, "'’");

        return 2 === \strlen($figures) ? 2000 + (int) $figures : (int) $figures;
    }
}
