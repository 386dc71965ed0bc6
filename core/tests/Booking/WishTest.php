<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Booking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Booking\NearestTimes;
use Telamon\Core\Booking\TimesOf;
use Telamon\Core\Booking\Wish;
use Telamon\Core\Booking\WishReader;
use Telamon\Core\Time\DayOrder;

/** What somebody wished for, and the free times that are nearest to it. */
final class WishTest extends TestCase
{
    /** @param list<string> $texts */
    #[DataProvider('wishes')]
    public function testAWishIsReadOrLeftToAPerson(array $texts, ?Wish $wish, DayOrder $order = DayOrder::DayFirst): void
    {
        self::assertEquals($wish, (new WishReader())->read($texts, $order));
    }

    /** @param list<string> $texts */
    #[DataProvider('wishesInWords')]
    public function testAWishInWordsCountsFromTheDayItCame(array $texts, ?Wish $wish): void
    {
        self::assertEquals($wish, (new WishReader())->read($texts, DayOrder::DayFirst, new \DateTimeImmutable('2026-11-25', new \DateTimeZone('UTC'))));
        self::assertNull((new WishReader())->read($texts, DayOrder::DayFirst), 'it counts from no day');
    }

    /** @return iterable<array{list<string>, Wish|null}> 2026-11-25 is a Wednesday */
    public static function wishesInWords(): iterable
    {
        yield 'a week' => [['next week'], new Wish('2026-11-30', '2026-12-06')];
        yield 'a week, in the mornings' => [['Next week', 'mornings'], new Wish('2026-11-30', '2026-12-06', [], 0, 720)];
        yield 'tomorrow at a time' => [['tomorrow at 9:30'], new Wish('2026-11-26', '2026-11-26', [], 0, 1440, 570)];
        yield 'tomorrow after a time' => [['tomorrow after 3pm'], new Wish('2026-11-26', '2026-11-26', [], 900, 1440)];
        yield 'a day without a year' => [['19 Dec in the afternoon'], new Wish('2026-12-19', '2026-12-19', [], 720, 1080)];
        yield 'weeks from now' => [['in three weeks'], new Wish('2026-12-16', '2026-12-16')];
        yield 'not then' => [['not next week'], null];
        yield 'two' => [['next week', 'tomorrow'], null];
        yield 'two parts of a day' => [['tomorrow morning or evening'], null];
        yield 'two times' => [['tomorrow at 9:30 or 10:30'], null];
        yield 'nothing known' => [['asap'], null];
    }

    /** @return iterable<array{0: list<string>, 1: Wish|null, 2?: DayOrder}> */
    public static function wishes(): iterable
    {
        yield [['2026-12-01 to 2026-12-04', 'Mornings'], new Wish('2026-12-01', '2026-12-04', [], 0, 720)];
        yield [['01/12/2026'], new Wish('2026-12-01', '2026-12-01')];
        yield [['01/12/2026'], null, DayOrder::Unstated];
        yield [['1st of December 2026, 9:30'], new Wish('2026-12-01', '2026-12-01', [], 0, 1440, 570)];
        yield [['Tuesday afternoon'], new Wish('', '', [2], 720, 1080)];
        yield [['Tuesdays or Thursdays, after 3pm'], new Wish('', '', [2, 4], 900, 1440)];
        yield [['Monday to Thursday before 12:00'], new Wish('', '', [1, 2, 3, 4], 0, 720)];
        yield [['weekdays'], new Wish('', '', [1, 2, 3, 4, 5])];
        yield [['12 am'], new Wish('', '', [], 0, 1440, 0)];
        yield [['12pm'], new Wish('', '', [], 0, 1440, 720)];
        yield [['any time'], new Wish()];
        yield [['23:59'], new Wish('', '', [], 0, 1440, 1439)];
        yield [['24:00'], null];
        yield [['9:59am'], new Wish('', '', [], 0, 1440, 599)];
        yield [['9:60'], null];
        yield [['12:30 pm'], new Wish('', '', [], 0, 1440, 750)];
        yield [['13pm'], null];
        yield [['0am'], null];
        yield [['Friday evening'], new Wish('', '', [5], 1020, 1440)];
        yield [['weekend mornings'], new Wish('', '', [6, 7], 0, 720)];
        yield [['weekdays at noon'], new Wish('', '', [1, 2, 3, 4, 5], 690, 840)];
        yield [['Sundays'], new Wish('', '', [7])];
        yield [['Tuesday, morning or afternoon'], new Wish('', '', [2], 0, 1080)];
        // What says less than it seems to is a person's to read.
        yield [['not on Mondays'], null];
        yield [['mornings, but never Fridays'], null];
        yield [['after the holidays'], null];
        yield [['next week'], null];
        yield [['whenever suits you'], null];
        yield [['around 3'], null];
        yield [['9:30 or 14:00'], null];
        yield [['25:00'], null];
        yield [['morning or evening'], null];
        yield [['wedding season'], null];
        yield [[], null];
    }

    public function testTheNearestIsOnTheDayThenOnTheDayOfTheWeekThenAtTheTime(): void
    {
        $times = new TimesOf(
            'Tuning',
            60,
            array_map(
                static fn (string $start): array => ['start' => $start, 'with' => 'Teo'],
                [
                    '2026-11-30T09:00:00+00:00',
                    '2026-12-01T09:00:00+00:00',
                    '2026-12-01T11:30:00+00:00',
                    '2026-12-01T14:00:00+00:00',
                    '2026-12-03T10:00:00+00:00',
                    '2026-12-08T10:00:00+00:00',
                ],
            ),
        );
        $nearest = static fn (Wish $wish): array => array_map(
            static fn (array $one): array => [substr($one['start'], 5, 11), $one['asWished']],
            (new NearestTimes($wish))->of($times, 3),
        );
        self::assertSame([['12-01T14:00', true], ['11-30T09:00', false], ['12-03T10:00', false]], $nearest(new Wish('2026-12-01', '2026-12-01', [], 720)));
        self::assertSame([['12-01T09:00', true], ['12-08T10:00', true], ['11-30T09:00', false]], $nearest(new Wish('', '', [2], 0, 720)));
        self::assertSame(
            [['12-01T11:30', false], ['12-03T10:00', false], ['12-08T10:00', false]],
            $nearest(new Wish(at: 690 + 10)),
            'a quarter of an hour beside it is not as wished',
        );
        self::assertSame(
            [['11-30T09:00', false], ['12-01T09:00', false], ['12-03T10:00', false]],
            $nearest(new Wish('2026-11-10', '2026-11-12')),
            'the days that were wished for are over',
        );
    }
}
