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
        foreach ([
            ['2026-11-24', 5, '2026-12-01'],
            ['2026-12-23', 2, '2026-12-29'],
            ['2026-12-24', 5, '2027-01-05'],
            ['2026-12-26', 1, '2026-12-30'],
            ['2027-03-16', 1, '2027-03-18'],
            ['2027-03-26', -3, '2027-03-23'],
            ['2027-01-04', -5, '2026-12-23'],
        ] as $row) {
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

    public function testAfterYearsOfClosuresTheNextDayIsFoundAtOnce(): void
    {
        $closed = [];
        for ($day = new \DateTimeImmutable('2026-01-05'); $day < new \DateTimeImmutable('2037-01-01'); $day = $day->modify('+7 days')) {
            $closed[] = $day->format('Y-m-d');
        }
        $calendar = new WorkingDays([1], $closed);
        self::assertSame('2037-01-05', $calendar->add(new \DateTimeImmutable('2026-01-05'), 0)->format('Y-m-d'));
        self::assertSame('2025-12-29', $calendar->back(new \DateTimeImmutable('2036-12-31'), 0)->format('Y-m-d'));
    }

    /** Against a count that goes day by day, forward and back, for every week of work and closures by chance. */
    public function testTheCountIsTheOneOfWalkingDayByDay(): void
    {
        mt_srand(1412);
        for ($round = 0; $round < 120; ++$round) {
            $weekdays = array_values(array_filter(range(1, 7), static fn (): bool => mt_rand(0, 1) > 0)) ?: [7, 2, 2];
            $closed = array_map(static fn (): string => (new \DateTimeImmutable('1969-11-20'))->modify('+'.mt_rand(0, 90).' days')->format('Y-m-d'), range(1, 12));
            $calendar = new WorkingDays($weekdays, $closed);
            $from = (new \DateTimeImmutable('1969-12-20'))->modify('+'.mt_rand(0, 30).' days');
            $days = mt_rand(-15, 15);
            $there = $calendar->add($from, $days);
            self::assertSame(self::walked($weekdays, $closed, $from, 1, $days), $there->format('Y-m-d'));
            self::assertSame(self::walked($weekdays, $closed, $from, -1, -abs($days)), $calendar->back($from, abs($days))->format('Y-m-d'));
            self::assertSame($days, $calendar->between($from, $there));
            self::assertSame($calendar->back($from, 0)->format('c') === $from->format('c'), $calendar->isWorked($from));
        }
    }

    public function testTheHourAndTheZoneStay(): void
    {
        $day = new \DateTimeImmutable('2027-03-26 23:30', new \DateTimeZone('Europe/Dublin'));
        self::assertSame('2027-03-30 23:30 IST', (new WorkingDays([1, 2, 3, 4, 5], self::CLOSED))->add($day, 1)->format('Y-m-d H:i T'));
    }

    /**
     * @param list<int> $weekdays
     * @param list<string> $closed
     */
    private static function walked(array $weekdays, array $closed, \DateTimeImmutable $day, int $roll, int $days): string
    {
        $isWorked = static fn (\DateTimeImmutable $day): bool => \in_array((int) $day->format('N'), $weekdays, true) && !\in_array($day->format('Y-m-d'), $closed, true);
        while (!$isWorked($day)) {
            $day = $day->modify("$roll day");
        }
        for ($left = abs($days); $left > 0; --$left) {
            do {
                $day = $day->modify(($days < 0 ? -1 : 1).' day');
            } while (!$isWorked($day));
        }

        return $day->format('Y-m-d');
    }
}
