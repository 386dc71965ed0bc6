<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DaySpan;
use Telamon\Core\Time\SpanReader;

/**
 * Days as people write them. What a text means is what the contract of telamon:days:read says; which days those are was
 * reckoned by hand on the calendars of 2026 and 2027 (1 December 2026 is a Tuesday), and leap years by ISO 8601.
 */
final class SpanReaderTest extends TestCase
{
    /** @return iterable<string, array{0: string, 1: string, 2?: string, 3?: string}> text, spans as “from..to from..to”, order, today */
    public static function texts(): iterable
    {
        $cases = [
            // In figures.
            ['2026-12-19', '2026-12-19'], ['2026-02-30', ''], ['19/12/2026', '2026-12-19', 'day-first'], ['19.12.26', '2026-12-19', 'day-first'],
            ['19-12', '2026-12-19', 'day-first'],
            ['12/6', '2027-06-12', 'day-first'], ['12/6', '2026-12-06', 'month-first'], ['12/6', '2026-12-06 2027-06-12'], ['19/12', '2026-12-19'],
            ['5/5', '2027-05-05'], ['12/13', '', 'day-first'],
            ['04/05/2027', '2027-04-05 2027-05-04'], ['1/12', '2026-12-01', 'day-first'], ['30/11', '2027-11-30', 'day-first'],
            ['29/2', '2028-02-29', 'day-first'], ['2026/12/19', '2026-12-19'], ['1/2/3', ''],
            // By name.
            ['19 Dec', '2026-12-19'], ['  19  DEC. ', '2026-12-19'], ['19th of December', '2026-12-19'], ['Dec 19th, 2027', '2027-12-19'],
            ['December 19', '2026-12-19'], ['the 19th of Dec', '2026-12-19'], ['on 19 December 2026!', '2026-12-19'],
            ['Sat 19 Dec', '2026-12-19'], ['Saturday, 19 December 2026', '2026-12-19'], ['Friday 19 December', ''], ['Fri 19 Dec 2026', ''],
            ['30 February', ''], ['29 Feb', '2028-02-29'], ['1 December', '2026-12-01'], ['30 November', '2027-11-30'], ["19 dec '27", '2027-12-19'],
            ['the 19th', '2026-12-19'], ['on the 1st', '2026-12-01'], ['the 31st', '2026-12-31'],
            ['the 30th', '2027-03-30', 'unstated', '2027-01-31'], ['the 3rd', '2027-01-03', 'unstated', '2026-12-31'],
            ['Saturday the 19th', '2026-12-19'], ['Monday the 19th', ''],
            // Months and years.
            ['December', '2026-12-01..2026-12-31'], ['December', '2026-12-15..2026-12-31', 'unstated', '2026-12-15'],
            ['in November', '2027-11-01..2027-11-30'], ['Feb 2028', '2028-02-01..2028-02-29'], ['May', '2027-05-01..2027-05-31'],
            ['november 2025', '2025-11-01..2025-11-30'],
            ['this month', '2026-12-01..2026-12-31'], ['next month', '2027-01-01..2027-01-31'], ['next year', '2027-01-01..2027-12-31'],
            // From today.
            ['today', '2026-12-01'], ['Tomorrow', '2026-12-02'], ['the day after tomorrow', '2026-12-03'], ['yesterday', '2026-11-30'],
            ['friday', '2026-12-04'], ['on Friday', '2026-12-04'], ['this fri', '2026-12-04'], ['tuesday', '2026-12-08'],
            ['next friday', '2026-12-11'], ['next Monday', '2026-12-07'], ['next sunday', '2026-12-13', 'unstated', '2026-12-06'],
            ['friday week', '2026-12-11'], ['a week on friday', '2026-12-11'], ['next tuesday', '2026-12-08'],
            ['in three weeks', '2026-12-22'], ['in a fortnight', '2026-12-15'], ['in 10 days', '2026-12-11'], ['two months from now', '2027-02-01'],
            ['in a month', '2027-02-28', 'unstated', '2027-01-31'], ['in a year', '2025-02-28', 'unstated', '2024-02-29'],
            ['in twelve days', '2026-12-13'], ['a week from now', '2026-12-08'], ["in two weeks' time", '2026-12-15'], ['in thirteen days', ''],
            ['in 3 moons', ''],
            ['this week', '2026-12-01..2026-12-06'], ['this week', '2026-12-06', 'unstated', '2026-12-06'], ['next week', '2026-12-07..2026-12-13'],
            ['the week after next', '2026-12-14..2026-12-20'], ['this weekend', '2026-12-05..2026-12-06'],
            ['this weekend', '2026-12-06', 'unstated', '2026-12-06'],
            // Parts.
            ['beginning of January', '2027-01-01..2027-01-10'], ['start of Feb', '2027-02-01..2027-02-10'], ['early May', '2027-05-01..2027-05-10'], ['in early-May', '2027-05-01..2027-05-10'], ['mid January', '2027-01-11..2027-01-20'], ['mid-January', '2027-01-11..2027-01-20'], ['the middle of March 2028', '2028-03-11..2028-03-20'], ['end of February', '2027-02-21..2027-02-28'], ['late Feb 2028', '2028-02-21..2028-02-29'],
            ['early December', '2026-12-05..2026-12-10', 'unstated', '2026-12-05'], ['early December', '2027-12-01..2027-12-10', 'unstated', '2026-12-11'], ['first week of March', '2027-03-01..2027-03-07'], ['the fourth week of March', '2027-03-22..2027-03-28'], ['third week of March', '2027-03-15..2027-03-21'], ['last week of February', '2027-02-22..2027-02-28'], ['last week of Feb 2028', '2028-02-23..2028-02-29'], ['second week of March', '2027-03-08..2027-03-14'],
            ['end of the month', '2026-12-21..2026-12-31'], ['at the end of the month', '2026-12-28..2026-12-31', 'unstated', '2026-12-28'], ['beginning of next month', '2027-01-01..2027-01-10'],
            // From one to another.
            ['10 to 14 January', '2027-01-10..2027-01-14'], ['10-14 January', '2027-01-10..2027-01-14'], ['10th – 14th of January 2028', '2028-01-10..2028-01-14'], ['January 10 to 14', '2027-01-10..2027-01-14'], ['Jan 10-14, 2028', '2028-01-10..2028-01-14'], ['28 December to 3 January', '2026-12-28..2027-01-03'], ['28 December to 3 January', '2027-01-01..2027-01-03', 'unstated', '2027-01-01'], ['28 December to 3 January 2029', '2028-12-28..2029-01-03'],
            ['between 10 and 14 January', '2027-01-10..2027-01-14'], ['between 28 Dec and 3 Jan', '2026-12-28..2027-01-03'], ['from 2026-12-10 to 2026-12-12', '2026-12-10..2026-12-12'], ['2026-12-12 to 2026-12-10', ''], ['10 to 14 January', '2027-01-12..2027-01-14', 'unstated', '2027-01-12'], ['monday to wednesday', '2026-12-07..2026-12-09'], ['friday to monday', '2026-12-04..2026-12-07'], ['10/1 - 14/1', '2027-01-10..2027-01-14'], ['14 to 10 January', ''],
            // Edges, and one of two.
            ['by Friday', '2026-12-04'], ['by 19 Dec', '2026-12-19'], ['before 19 Dec', '2026-12-18'], ['after 19 Dec', '2026-12-20'], ['before January', '2026-12-31'], ['after next week', '2026-12-14'], ['by 12/6', '2026-12-06 2027-06-12'], ['before the 19th', '2026-12-18'],
            ['friday or saturday', '2026-12-04 2026-12-05'], ['saturday or friday', '2026-12-04 2026-12-05'], ['12 or 14 January', '2027-01-12 2027-01-14'], ['friday or soon', ''],
            // Nothing.
            ['soon', ''], ['19', ''], ['2027', ''], ['020 914 3327', ''], ['+353 20 914 3327', ''], ['', ''], ['   ', ''], ['as soon as possible', ''], ['friday at some time', ''], ['32 December', ''], ['the 32nd', ''], ['in a while', ''], ['marching on', ''], ['1.5', '2027-05-01', 'day-first'], ["\xFF\xFE", ''],
        ];
        foreach ($cases as $case) {
            // A name that every report can hold, whatever the bytes of the text.
            yield addcslashes(implode(' | ', $case), "\0..\37\177..\377") => $case;
        }
    }

    #[DataProvider('texts')]
    public function testIsReadAs(string $text, string $spans, string $order = 'unstated', string $today = '2026-12-01'): void
    {
        $found = (new SpanReader())->read($text, new \DateTimeImmutable($today, new \DateTimeZone('UTC')), DayOrder::from($order));
        self::assertSame($spans, implode(' ', array_map(static fn (DaySpan $one): string => $one->isOneDay() ? $one->toArray()[0] : implode('..', $one->toArray()), $found)));
    }

    /** Whatever the day of the week, the words of the week keep to its calendar (ISO 8601: Monday to Sunday). */
    public function testTheWeekOnEachOfItsDays(): void
    {
        for ($i = 0; $i < 7; ++$i) {
            $today = (new \DateTimeImmutable('2026-11-30 UTC'))->modify("+$i days");
            $read = static fn (string $text): string => implode('..', (new SpanReader())->read($text, $today, DayOrder::Unstated)[0]->toArray());
            self::assertSame('2026-12-07..2026-12-13', $read('next week'));
            self::assertSame($today->format('Y-m-d').'..2026-12-06', $read('this week'));
            self::assertSame('2026-12-11..2026-12-11', $read('next friday'));
            self::assertSame('2026-12-14..2026-12-20', $read('the week after next'));
            self::assertGreaterThan($today->format('Y-m-d'), substr($read($today->format('l')), 0, 10), 'a day of the week is never today');
        }
    }
}
