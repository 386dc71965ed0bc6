<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Slots;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Slots\ByTheirClock;
use Telamon\Core\Slots\SlotPerson;

/** Somebody who works by the clock of another place. Offsets and days of change: the IANA Time Zone Database that PHP ships. */
final class ByTheirClockTest extends TestCase
{
    public function testHoursThereAreTheHoursThatTheClockHereShows(): void
    {
        // New York is five hours behind Dublin in winter: 9 to 5 there is 14 to 22 here.
        self::assertSame(['2026-12-01' => [[14, 22]]], self::hours('America/New_York', '2026-12-01', [2 => [[9, 17]]]));
        // In Auckland, thirteen hours ahead, Tuesday morning is Monday evening here.
        self::assertSame(['2026-11-30' => [[20, 24]], '2026-12-01' => [[0, 4]]], self::hours('Pacific/Auckland', '2026-11-30', [2 => [[9, 17]]], '2026-12-01'));
    }

    public function testWhileOneHasChangedItsClocksAndTheOtherHasNotTheDifferenceIsAnotherOne(): void
    {
        // New York goes forward on 8 March 2026, Dublin on 29 March: four hours between them for three weeks.
        self::assertSame(['2026-03-06' => [[14, 22]]], self::hours('America/New_York', '2026-03-06', [5 => [[9, 17]]]));
        self::assertSame(['2026-03-13' => [[13, 21]]], self::hours('America/New_York', '2026-03-13', [5 => [[9, 17]]]));
        self::assertSame(['2026-04-03' => [[14, 22]]], self::hours('America/New_York', '2026-04-03', [5 => [[9, 17]]]));
    }

    public function testAnAbsenceThereIsTheSameTimeHere(): void
    {
        $day = self::day('2026-12-01');
        $clock = new ByTheirClock(new \DateTimeZone('America/New_York'), new \DateTimeZone('Europe/Dublin'), $day, $day);
        self::assertSame([[$day, 5 * 3600], [$day + 1, 5 * 3600]], $clock->absence([[$day, 0], [$day + 1, 0]]));
    }

    /**
     * @param array<int, list<array{int, int}>> $hours by day of the week
     *
     * @return array<string, list<array{float|int, float|int}>> hours here by day, days without any left out
     */
    private static function hours(string $zone, string $from, array $hours, ?string $to = null): array
    {
        $spans = array_map(static fn (array $day): array => array_map(static fn (array $span): array => [3600 * $span[0], 3600 * $span[1]], $day), $hours);
        $dates = (new ByTheirClock(new \DateTimeZone($zone), new \DateTimeZone('Europe/Dublin'), self::day($from), self::day($to ?? $from)))->dates(new SlotPerson('a', $spans));
        $shown = [];
        foreach (array_filter($dates) as $day => $there) {
            $shown[gmdate('Y-m-d', 86_400 * $day)] = array_map(static fn (array $span): array => [$span[0] / 3600, $span[1] / 3600], $there);
        }

        return $shown;
    }

    private static function day(string $day): int
    {
        return intdiv((new \DateTimeImmutable("$day 00:00", new \DateTimeZone('UTC')))->getTimestamp(), 86_400);
    }
}
