<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Tasks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DueReader;
use Telamon\Core\Time\WorkingDays;

/** On Friday 27 November 2026; weekdays and closures as common practice has them. */
final class DueReaderTest extends TestCase
{
    #[DataProvider('texts')]
    public function testADayIsReadAsPeopleWriteIt(string $text, string ...$days): void
    {
        $reader = new DueReader(new WorkingDays([1, 2, 3, 4, 5], ['2026-12-25', '2027-01-01']));
        $read = $reader->read(
            $text,
            new \DateTimeImmutable('2026-11-27', new \DateTimeZone('UTC')),
            str_contains($text, '/') && 2 === \count($days) ? DayOrder::Unstated : DayOrder::DayFirst,
        );
        self::assertSame($days, array_map(static fn (\DateTimeImmutable $day): string => $day->format('Y-m-d'), $read));
    }

    /** @return iterable<string, list<string>> */
    public static function texts(): iterable
    {
        yield 'today' => ['today', '2026-11-27'];
        yield 'tomorrow, though it is a Saturday' => ['Tomorrow', '2026-11-28'];
        yield 'the next working day' => ['next working day', '2026-11-30'];
        yield 'a weekday' => ['Tue', '2026-12-01'];
        yield 'the same weekday is in a week' => ['friday', '2026-12-04'];
        yield 'that of next week' => ['next Tue', '2026-12-01'];
        yield 'next Friday is not today' => ['next Friday', '2026-12-04'];
        yield 'working days' => ['in 3 working days', '2026-12-02'];
        yield 'working days over a closure' => ['20 working days', '2026-12-28'];
        yield 'days' => ['in 3 days', '2026-11-30'];
        yield 'weeks in words' => ['in two weeks', '2026-12-11'];
        yield 'a month, and the next is shorter' => ['in 3 months', '2027-02-27'];
        yield 'without a year' => ['14/1', '2027-01-14'];
        yield 'without a year, this year still' => ['14.12', '2026-12-14'];
        yield 'in words' => ['14 January', '2027-01-14'];
        yield 'in full' => ['14/01/2028', '2028-01-14'];
        yield 'the past in full' => ['2025-01-14', '2025-01-14'];
        yield 'two days where the order is not said' => ['3/1', '2027-01-03', '2027-03-01'];
        yield 'no such day' => ['31/2'];
        yield 'a weekday of the week after' => ['friday week', '2026-12-11'];
        yield 'by a day with its month' => ['by the 14th of December', '2026-12-14'];
        yield 'a weekday and its date' => ['Mon 14 Dec', '2026-12-14'];
        yield 'a whole month is no day' => ['January'];
        yield 'yesterday is over' => ['yesterday'];
        yield 'nothing' => [''];
        yield 'something else' => ['when I am ready'];
        yield 'too many' => ['in 9999 days'];
    }
}
