<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Tasks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\WorkingDays;

final class WorkingDaysTest extends TestCase
{
    private const CLOSED = ['2026-12-25', '2026-12-28', '2027-01-01', '2027-02-01', '2027-03-17', '2027-03-29'];

    /** Expected values: numpy 1.24 busday_offset with roll='forward', Monday to Friday, these six holidays. */
    #[DataProvider('offsets')]
    public function testOffsetsAsNumpyCountsThem(string $from, int $days, string $expected): void
    {
        $calendar = new WorkingDays([1, 2, 3, 4, 5], self::CLOSED);
        self::assertSame($expected, $calendar->add(new \DateTimeImmutable($from), $days)->format('Y-m-d'));
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function offsets(): iterable
    {
        foreach ([['2026-11-24', 5, '2026-12-01'], ['2026-12-23', 2, '2026-12-29'], ['2026-12-24', 5, '2027-01-05'], ['2026-12-26', 1, '2026-12-30'], ['2027-03-16', 1, '2027-03-18'], ['2027-03-26', -3, '2027-03-23'], ['2027-01-04', -5, '2026-12-23']] as $row) {
            yield "{$row[0]} {$row[1]}" => $row;
        }
    }

    public function testNoDaysOnAFreeDayIsTheNextWorkedOne(): void
    {
        $calendar = new WorkingDays([1, 2, 3, 4, 5], self::CLOSED);
        self::assertSame('2026-12-29', $calendar->add(new \DateTimeImmutable('2026-12-25'), 0)->format('Y-m-d'));
        self::assertFalse($calendar->isWorked(new \DateTimeImmutable('2026-12-25')));
        self::assertTrue($calendar->isWorked(new \DateTimeImmutable('2026-12-29')));
    }

    public function testABusinessThatNeverWorksIsNone(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new WorkingDays([], []);
    }

    public function testYearsOfClosuresAreRefusedRatherThanSearchedForEver(): void
    {
        $closed = [];
        for ($day = new \DateTimeImmutable('2026-01-05'); $day < new \DateTimeImmutable('2037-01-01'); $day = $day->modify('+7 days')) {
            $closed[] = $day->format('Y-m-d');
        }
        $this->expectException(\OverflowException::class);
        (new WorkingDays([1], $closed))->add(new \DateTimeImmutable('2026-01-05'), 1);
    }
}
