<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Slots;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Slots\LocalClock;
use Telamon\Core\Slots\SlotFinder;
use Telamon\Core\Slots\SlotReader;
use Telamon\Core\Slots\UnreadableSlots;
use Telamon\Core\Slots\WhyNot;

/** @phpstan-import-type Calendar from MinuteByMinute */
final class SlotFinderTest extends TestCase
{
    public function testFiveHundredMadeCalendarsAreAsTheyAreMinuteByMinute(): void
    {
        $offered = 0;
        foreach (MadeCalendars::make(500, 20261127) as $i => $calendar) {
            $found = self::find($calendar);
            self::assertSame(MinuteByMinute::slots($calendar), $found, "calendar $i: ".json_encode($calendar));
            $offered += \count($found);
        }
        self::assertGreaterThan(2000, $offered, 'there was something to find');
    }

    public function testEveryTimeThatIsNotOfferedHasAReasonAndNoOther(): void
    {
        $told = [];
        foreach (MadeCalendars::make(60, 7) as $i => $calendar) {
            $request = (new SlotReader())->read($calendar);
            $why = new WhyNot($request);
            $offered = [];
            foreach ((new SlotFinder())->find($request) as $slot) {
                foreach ($slot['staff'] as $id) {
                    $offered[$id][(new \DateTimeImmutable($slot['start']))->getTimestamp()] = true;
                }
            }
            for ($second = 86_400 * $request->from - 50_400; $second < 86_400 * ($request->to + 1) + 50_400; $second += 300) {
                foreach ($request->people as $person) {
                    $reason = $why->of($person, $second * LocalClock::SECOND);
                    self::assertSame(isset($offered[$person->id][$second]), null === $reason, "calendar $i, {$person->id} at $second: $reason");
                    $told[(string) preg_replace('/\d.*/', '', (string) $reason)] = true;
                }
            }
        }
        self::assertGreaterThanOrEqual(9, \count($told), implode(', ', array_keys($told)));
    }

    /** @param list<string> $starts */
    #[DataProvider('clockChanges')]
    public function testOnTheDayThatClocksChangeADayHasItsHours(string $zone, string $day, int $step, string $from, string $to, array $starts): void
    {
        $calendar = self::calendar(['zone' => $zone, 'now' => '2026-01-01T00:00:00Z', 'from' => $day, 'to' => $day]);
        $calendar['type'] = ['length' => 30, 'step' => $step, 'furthest_days' => 400, 'clear_after' => 0] + $calendar['type'];
        $calendar['staff'][0]['hours'] = ['7' => [[$from, $to]]];
        self::assertSame($starts, array_column(self::find($calendar), 'start'));
    }

    /** @return iterable<string, array{string, string, int, string, string, list<string>}> */
    public static function clockChanges(): iterable
    {
        yield 'Dublin forward: 01:00 and 01:30 do not exist' => ['Europe/Dublin', '2026-03-29', 30, '00:30', '02:30', ['2026-03-29T00:30:00+00:00', '2026-03-29T02:00:00+01:00']];
        yield 'Dublin back: what happens twice is offered once' => [
            'Europe/Dublin',
            '2026-10-25',
            30,
            '00:30',
            '02:30',
            ['2026-10-25T00:30:00+01:00', '2026-10-25T01:00:00+01:00', '2026-10-25T01:30:00+01:00', '2026-10-25T02:00:00+00:00'],
        ];
        yield 'New York forward' => ['America/New_York', '2026-03-08', 60, '01:00', '04:00', ['2026-03-08T01:00:00-05:00', '2026-03-08T03:00:00-04:00']];
        yield 'New York back' => ['America/New_York', '2026-11-01', 60, '01:00', '03:00', ['2026-11-01T01:00:00-04:00', '2026-11-01T02:00:00-05:00']];
        yield 'Lord Howe forward by half an hour' => [
            'Australia/Lord_Howe',
            '2026-10-04',
            30,
            '01:30',
            '03:30',
            ['2026-10-04T01:30:00+10:30', '2026-10-04T02:30:00+11:00', '2026-10-04T03:00:00+11:00'],
        ];
        yield 'Lord Howe back by half an hour' => [
            'Australia/Lord_Howe',
            '2026-04-05',
            30,
            '01:00',
            '02:30',
            ['2026-04-05T01:00:00+11:00', '2026-04-05T01:30:00+11:00', '2026-04-05T02:00:00+10:30'],
        ];
    }

    public function testANineToFiveDayHasItsHoursWhateverTheClocksDid(): void
    {
        foreach ([
            'Europe/Dublin' => ['2026-03-29', '2026-10-25'],
            'America/New_York' => ['2026-03-08', '2026-11-01'],
            'Australia/Lord_Howe' => ['2026-04-05', '2026-10-04'],
        ] as $zone => $days) {
            foreach ($days as $day) {
                $calendar = self::calendar(['zone' => $zone, 'now' => '2026-01-01T00:00:00Z', 'from' => $day, 'to' => $day]);
                $calendar['type'] = ['length' => 60, 'step' => 60, 'furthest_days' => 400, 'clear_after' => 0] + $calendar['type'];
                $calendar['staff'][0]['hours'] = ['7' => [['09:00', '17:00']]];
                self::assertCount(8, self::find($calendar), "$zone $day");
            }
        }
    }

    public function testAGapThatFitsExactlyIsFree(): void
    {
        $calendar = self::calendar();
        $calendar['staff'][0]['appointments'] = [self::held('09:00', '10:00'), self::held('11:00', '12:00')];
        $calendar['type']['clear_after'] = 0;
        self::assertContains('2026-12-01T10:00:00+00:00', array_column(self::find($calendar), 'start'));
        $calendar['staff'][0]['appointments'][0]['clear_after'] = 1;
        self::assertNotContains('2026-12-01T10:00:00+00:00', array_column(self::find($calendar), 'start'), 'a minute that the earlier keeps is a minute too many');
    }

    public function testAGroupIsFullWhenItsSeatsAreTaken(): void
    {
        $calendar = self::calendar();
        $calendar['type'] = ['seats' => 3, 'day_limit' => 1] + $calendar['type'];
        $calendar['staff'][0]['appointments'] = [['taken' => 2] + self::held('10:00', '11:00')];
        self::assertSame(['2026-12-01T10:00:00+00:00'], array_column(self::find($calendar), 'start'), 'the day is full but for the group');
        $calendar['staff'][0]['appointments'][0]['taken'] = 3;
        self::assertSame([], self::find($calendar));
    }

    public function testNoticeAndDistanceCountExactly(): void
    {
        $calendar = self::calendar(['now' => '2026-12-01T08:00:00+00:00']);
        $calendar['type'] = ['notice_minutes' => 120, 'furthest_days' => 0] + $calendar['type'];
        self::assertSame('2026-12-01T10:00:00+00:00', self::find($calendar)[0]['start'], 'exactly so many is enough');
        self::assertSame('2026-12-01T10:30:00+00:00', self::find(['now' => '2026-12-01T08:00:01+00:00'] + $calendar)[0]['start']);
        self::assertSame([], self::find(['from' => '2026-12-02', 'to' => '2026-12-02'] + $calendar), 'tomorrow is too far');
        self::assertSame([], self::find(['closures' => ['2026-12-01']] + $calendar));
    }

    public function testNobodyIsNamedTwiceAndIdsStandInTheOrderOfTheirBytes(): void
    {
        $calendar = self::calendar();
        $calendar['staff'] = [
            ['id' => 'é'] + $calendar['staff'][0],
            ['id' => 'b'] + $calendar['staff'][0],
            ['id' => 'B'] + $calendar['staff'][0],
            ['id' => '10'] + $calendar['staff'][0],
            ['id' => '9'] + $calendar['staff'][0],
        ];
        self::assertSame(['10', '9', 'B', 'b', 'é'], self::find($calendar)[0]['staff']);
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsRefusedInOneLine(array $wrong, string $where): void
    {
        $this->expectException(UnreadableSlots::class);
        $this->expectExceptionMessageMatches('/^'.preg_quote($where, '/').'[^\n]*$/D');
        (new SlotReader())->read(array_replace_recursive(self::calendar(), $wrong));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a length of 0' => [['type' => ['length' => 0]], 'type.length'];
        yield 'a length of 25 hours' => [['type' => ['length' => 1500]], 'type.length'];
        yield 'a step of 0' => [['type' => ['step' => 0]], 'type.step'];
        yield 'an unknown zone' => [['zone' => 'Europe/Marrowby'], 'zone'];
        yield 'a day that is none' => [['from' => '2026-02-30'], 'from'];
        yield 'backwards' => [['from' => '2026-12-06'], 'to lies'];
        yield 'hours past midnight' => [['staff' => [['hours' => ['1' => [['22:00', '02:00']]]]]], 'staff.0.hours.1.0'];
        yield 'hours that overlap' => [['staff' => [['hours' => ['1' => [['09:00', '12:00'], ['11:00', '13:00']]]]]], 'staff.0.hours.1'];
        yield 'an eighth day' => [['staff' => [['hours' => ['8' => []]]]], 'staff.0.hours.8'];
        yield 'a moment without an offset' => [['now' => '2026-12-01T08:00:00'], 'now'];
        yield 'an absence that ends first' => [['staff' => [['absent' => [['2026-12-02T12:00', '2026-12-01T12:00']]]]], 'staff.0.absent.0'];
        yield 'nobody named' => [['staff' => [['id' => '']]], 'staff.0.id'];
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return Calendar
     */
    private static function calendar(array $with = []): array
    {
        /** @var Calendar $calendar */
        $calendar = $with + [
            'zone' => 'Europe/Dublin', 'now' => '2026-11-30T08:00:00+00:00', 'from' => '2026-12-01', 'to' => '2026-12-01',
            'type' => ['length' => 60, 'clear_before' => 0, 'clear_after' => 15, 'step' => 30, 'notice_minutes' => 0, 'furthest_days' => 60, 'day_limit' => null, 'seats' => 1],
            'closures' => [],
            'staff' => [['id' => 'a', 'hours' => ['2' => [['09:00', '17:00']], '3' => [['09:00', '17:00']]], 'dates' => [], 'absent' => [], 'busy' => [], 'appointments' => []]],
        ];

        return $calendar;
    }

    /** @return array{start: string, end: string, clear_before: int, clear_after: int, taken: int} */
    private static function held(string $from, string $to): array
    {
        return ['start' => "2026-12-01T$from:00+00:00", 'end' => "2026-12-01T$to:00+00:00", 'clear_before' => 0, 'clear_after' => 0, 'taken' => 1];
    }

    /**
     * @param array<string, mixed> $calendar
     *
     * @return list<array{start: string, staff: list<string>}>
     */
    private static function find(array $calendar): array
    {
        return (new SlotFinder())->find((new SlotReader())->read(json_decode(json_encode($calendar, \JSON_THROW_ON_ERROR), true)));
    }
}
