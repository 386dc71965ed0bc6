<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Tasks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\CareDay;
use Telamon\Core\Time\WorkingDays;

/** Weeks by ISO 8601: 2026 has 53 of them, 2027 has 52. */
final class CareDayTest extends TestCase
{
    #[DataProvider('cases')]
    public function testCareIsDueAfterMonthsOrInAWeek(string $done, int $months, ?int $week, string $due): void
    {
        $day = (new CareDay(new WorkingDays([1, 2, 3, 4, 5], ['2027-05-27'])))->after(new \DateTimeImmutable($done, new \DateTimeZone('UTC')), $months, $week);
        self::assertSame($due, $day->format('Y-m-d'));
    }

    /** @return iterable<string, array{string, int, int|null, string}> */
    public static function cases(): iterable
    {
        yield 'half a year, over a closure' => ['2026-11-27', 6, null, '2027-05-28'];
        yield 'a shorter month' => ['2026-08-31', 6, null, '2027-03-01'];
        yield 'a leap day' => ['2024-02-29', 12, null, '2025-02-28'];
        yield 'a Sunday rolls on' => ['2026-11-29', 0, null, '2026-11-30'];
        yield 'the next such week' => ['2026-11-27', 0, 40, '2027-10-04'];
        yield 'after months, in that week of the year after' => ['2026-11-27', 12, 40, '2028-10-02'];
        yield 'the week in which the day lies' => ['2026-11-27', 6, 21, '2027-05-24'];
        yield 'this week, whose Monday is past: the next year' => ['2026-11-27', 0, 48, '2027-11-29'];
        yield 'week 53 of a year without one' => ['2027-01-15', 0, 53, '2027-12-27'];
    }
}
