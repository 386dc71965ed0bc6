<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\OnCall;

final class OnCallTest extends TestCase
{
    /** @return iterable<string, array{list<int>, string, string, string, bool}> */
    public static function moments(): iterable
    {
        // 2026-11-25 is a Wednesday.
        yield 'inside' => [[3], '09:00', '17:00', '2026-11-25 09:00', true];
        yield 'at the end' => [[3], '09:00', '17:00', '2026-11-25 17:00', false];
        yield 'another day' => [[3], '09:00', '17:00', '2026-11-26 10:00', false];
        yield 'in the evening' => [[3], '18:00', '08:00', '2026-11-25 23:59', true];
        yield 'the morning after belongs to the evening before' => [[3], '18:00', '08:00', '2026-11-26 07:59', true];
        yield 'the morning before does not' => [[3], '18:00', '08:00', '2026-11-25 07:59', false];
        yield 'Sunday night into Monday' => [[7], '22:00', '06:00', '2026-11-30 05:00', true];
        yield 'round the clock' => [[3], '08:00', '08:00', '2026-11-26 03:00', true];
        yield 'round the clock, over' => [[3], '08:00', '08:00', '2026-11-26 08:00', false];
        yield 'in the hour that there is twice' => [[6], '22:00', '06:00', '2026-10-25 01:30', true];
    }

    /** @param list<int> $days */
    #[DataProvider('moments')]
    public function testWhoIsReachedWhen(array $days, string $from, string $until, string $at, bool $covers): void
    {
        self::assertSame($covers, (new OnCall($days, $from, $until))->covers(new \DateTimeImmutable($at, new \DateTimeZone('Europe/Dublin'))));
    }

    /** @return iterable<string, array{list<int>, string, string}> */
    public static function nonsense(): iterable
    {
        yield 'no day' => [[], '09:00', '17:00'];
        yield 'an eighth day' => [[8], '09:00', '17:00'];
        yield 'a day twice' => [[1, 1], '09:00', '17:00'];
        yield 'no time' => [[1], '25:00', '17:00'];
    }

    /** @param list<int> $days */
    #[DataProvider('nonsense')]
    public function testWhatIsNoHourIsRefused(array $days, string $from, string $until): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new OnCall($days, $from, $until);
    }
}
