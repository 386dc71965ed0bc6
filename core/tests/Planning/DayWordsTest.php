<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\DayWords;

final class DayWordsTest extends TestCase
{
    #[DataProvider('days')]
    public function testInWords(string $day, string $short, string $distance): void
    {
        $today = new \DateTimeImmutable('2026-11-25 23:30', new \DateTimeZone('Europe/Dublin'));
        $day = new \DateTimeImmutable($day, new \DateTimeZone('UTC'));
        self::assertSame([$short, $distance], [DayWords::short($day, $today), DayWords::distance($day, $today)]);
    }

    /** @return iterable<array{string, string, string}> */
    public static function days(): iterable
    {
        yield ['2026-11-25', 'Wed 25 November', 'today'];
        yield ['2026-11-26', 'Thu 26 November', 'tomorrow'];
        yield ['2026-11-24', 'Tue 24 November', 'yesterday'];
        yield ['2026-11-20', 'Fri 20 November', '5 days ago'];
        yield ['2027-01-05', 'Tue 5 January 2027', 'in 41 days'];
    }
}
