<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Scheduling;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Time\OpeningHours;
use Telamon\Core\Time\ReplyClock;
use Telamon\Core\Time\WorkingTime;

final class WorkingTimeTest extends TestCase
{
    #[DataProvider('additions')]
    public function testAddingWorkingMinutes(string $from, int $minutes, string $expected): void
    {
        self::assertSame($expected, self::office()->add(self::at($from), $minutes)->format('Y-m-d H:i'));
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function additions(): iterable
    {
        yield 'within the day' => ['2026-11-25 09:00', 120, '2026-11-25 11:00'];
        yield 'over lunch' => ['2026-11-25 11:30', 60, '2026-11-25 13:30'];
        yield 'over the night' => ['2026-11-25 17:30', 60, '2026-11-26 08:30'];
        yield 'over the weekend' => ['2026-11-27 17:30', 120, '2026-11-30 09:30'];
        yield 'over a closure' => ['2026-12-24 17:30', 60, '2026-12-28 08:30'];
        yield 'before opening' => ['2026-11-25 05:00', 30, '2026-11-25 08:30'];
        yield 'on a Sunday' => ['2026-11-29 12:00', 30, '2026-11-30 08:30'];
        yield 'nothing, while closed' => ['2026-11-29 12:00', 0, '2026-11-30 08:00'];
        yield 'up to the last minute' => ['2026-11-25 17:00', 60, '2026-11-25 18:00'];
    }

    #[DataProvider('spans')]
    public function testCountingWorkingMinutes(string $from, string $to, int $expected): void
    {
        self::assertSame($expected, self::office()->between(self::at($from), self::at($to)));
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function spans(): iterable
    {
        yield 'within the day' => ['2026-11-25 09:00', '2026-11-25 10:15', 75];
        yield 'over lunch' => ['2026-11-25 11:30', '2026-11-25 13:30', 60];
        yield 'from night to night' => ['2026-11-24 22:00', '2026-11-25 22:00', 540];
        yield 'a weekend' => ['2026-11-28 00:00', '2026-11-30 00:00', 0];
        yield 'backwards' => ['2026-11-25 10:00', '2026-11-25 09:00', 0];
    }

    /** Europe/Dublin puts its clocks on at 01:00 UTC on 2027-03-28 and back on 2027-10-31 (IANA time zone database). */
    public function testAClockChangeCountsAsItFalls(): void
    {
        $round = new WorkingTime(new OpeningHours([7 => [['00:00', '06:00']]], [], self::zone()));
        self::assertSame(300, $round->between(self::at('2027-03-28 00:00'), self::at('2027-03-28 06:00')), 'an hour is missing');
        self::assertSame(420, $round->between(self::at('2027-10-31 00:00'), self::at('2027-10-31 06:00')), 'an hour comes twice');
        self::assertSame('03:00', $round->add(self::at('2027-03-28 00:00'), 120)->format('H:i'));
        self::assertSame('01:00', $round->add(self::at('2027-10-31 00:00'), 120)->format('H:i'));
    }

    public function testTheSameMomentInAnotherZoneCountsTheSame(): void
    {
        $from = new \DateTimeImmutable('2026-11-25T09:00:00+00:00');
        $to = new \DateTimeImmutable('2026-11-25T19:15:00+09:00');
        self::assertSame(75, self::office()->between($from, $to));
    }

    /** Against the plain count, day by day, over spans of up to a year in zones far apart. */
    #[DataProvider('zones')]
    public function testLongSpansCountAsDayByDay(string $zone): void
    {
        $zone = new \DateTimeZone($zone);
        $day = [['08:00', '12:00'], ['13:00', '18:00']];
        $hours = new OpeningHours([1 => $day, 2 => $day, 3 => $day, 4 => $day, 5 => $day, 7 => [['00:00', '06:00']]], ['2026-12-25', '2027-03-17'], $zone);
        $time = new WorkingTime($hours);
        mt_srand(5);
        for ($i = 0; $i < 60; ++$i) {
            $from = (new \DateTimeImmutable('@'.(1_790_000_000 + mt_rand(0, 40_000_000))))->setTimezone($zone);
            $to = $from->modify('+'.mt_rand(0, 30_000_000).' seconds');
            $seconds = 0;
            for ($noon = $from->setTime(12, 0); $noon <= $to->setTime(12, 0); $noon = $noon->modify('+1 day')) {
                foreach ($hours->on($noon) as [$start, $end]) {
                    $seconds += max(0, min($end, $to)->getTimestamp() - max($start, $from)->getTimestamp());
                }
            }
            self::assertSame(intdiv($seconds, 60), $time->between($from, $to), $from->format('c').' to '.$to->format('c'));
        }
    }

    /** @return iterable<array{string}> */
    public static function zones(): iterable
    {
        yield ['Europe/Dublin'];
        yield ['Pacific/Kiritimati'];
        yield ['America/Los_Angeles'];
    }

    public function testABusinessThatNeverOpensIsRefused(): void
    {
        $this->expectException(\OverflowException::class);
        (new WorkingTime(new OpeningHours([], [], self::zone())))->add(self::at('2026-11-25 09:00'), 1);
    }

    #[DataProvider('clocks')]
    public function testTheReplyClockInWords(string $now, ?string $answered, string $state, string $words): void
    {
        $received = self::at('2026-11-25 09:00');
        $clock = ReplyClock::read(self::office(), $received, self::office()->add($received, 120), 120, null === $answered ? null : self::at($answered), self::at($now));
        self::assertSame([$state, $words], [$clock->state, $clock->words]);
    }

    /** @return iterable<string, array{string, string|null, string, string}> */
    public static function clocks(): iterable
    {
        yield 'just begun' => ['2026-11-25 09:00', null, 'not-started', '2 h left'];
        yield 'running' => ['2026-11-25 10:18', null, 'running', '42 min left'];
        yield 'at the promise' => ['2026-11-25 11:00', null, 'running', '0 min left'];
        yield 'a second over' => ['2026-11-25 11:01', null, 'over', '1 min over'];
        yield 'over' => ['2026-11-25 11:22', null, 'over', '22 min over'];
        yield 'a day over' => ['2026-11-26 11:22', null, 'over', '9 h 22 over'];
        yield 'answered' => ['2026-11-26 11:22', '2026-11-25 10:10', 'stopped', 'answered in 1 h 10'];
    }

    private static function office(): WorkingTime
    {
        $day = [['08:00', '12:00'], ['13:00', '18:00']];

        return new WorkingTime(new OpeningHours([1 => $day, 2 => $day, 3 => $day, 4 => $day, 5 => $day], ['2026-12-25'], self::zone()));
    }

    private static function at(string $local): \DateTimeImmutable
    {
        return new \DateTimeImmutable($local, self::zone());
    }

    private static function zone(): \DateTimeZone
    {
        return new \DateTimeZone('Europe/Dublin');
    }
}
