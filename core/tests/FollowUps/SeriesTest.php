<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\FollowUps;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\FollowUps\Course;
use Telamon\Core\FollowUps\InvalidSeries;
use Telamon\Core\FollowUps\Quiet;
use Telamon\Core\FollowUps\QuietDays;
use Telamon\Core\FollowUps\Rehearsal;
use Telamon\Core\FollowUps\Series;
use Telamon\Core\FollowUps\SeriesReader;
use Telamon\Core\FollowUps\SeriesWalk;
use Telamon\Core\FollowUps\Stand;
use Telamon\Core\FollowUps\Wait;
use Telamon\Core\Time\WorkingDays;

/**
 * Waits counted by hand on a calendar: Tuesday 24 March 2026, Irish summer time from Sunday 29 March at 01:00 UTC
 * (Directive 2000/84/EC), Good Friday 3 April, Easter Monday 6 April closed.
 */
final class SeriesTest extends TestCase
{
    private static function working(): WorkingDays
    {
        return new WorkingDays([1, 2, 3, 4, 5], ['2026-04-03', '2026-04-06']);
    }

    private static function at(string $time): \DateTimeImmutable
    {
        return new \DateTimeImmutable($time, new \DateTimeZone('Europe/Dublin'));
    }

    /** @return array<string, mixed> */
    private static function nudges(): array
    {
        $wait = static fn (string $key, int $days, string $at = ''): array => ['key' => $key, 'kind' => 'wait', 'amount' => $days, 'unit' => 'days', 'at' => $at];
        $send = static fn (string $key): array => ['key' => $key, 'kind' => 'send', 'what' => $key];

        return ['main' => [
            $send('first'),
            $wait('w1', 2),
            $send('second'),
            ['key' => 'w2', 'kind' => 'wait', 'amount' => 1, 'unit' => 'working-days', 'at' => '10:00'],
            $send('third'),
            $wait('w3', 4),
            $send('fourth'),
            $wait('w4', 23, '09:00'),
            $send('last'),
        ],
            'yes' => [
                ['key' => 'pick', 'kind' => 'send', 'what' => 'pick'],
                ['key' => 'wy', 'kind' => 'wait', 'amount' => 3, 'unit' => 'days'],
                ['key' => 'ring', 'kind' => 'task', 'what' => 'Ring them', 'who' => 'lead', 'days' => 0],
            ],
            'later' => [['key' => 'wl', 'kind' => 'wait', 'amount' => 30, 'unit' => 'days'], ['key' => 'on', 'kind' => 'go-on', 'what' => 'fourth']],
        ];
    }

    private static function series(): Series
    {
        return (new SeriesReader())->read(self::nudges());
    }

    /**
     * @param list<array{at: \DateTimeImmutable, step: \Telamon\Core\FollowUps\Step|null, course: Course}> $acts
     *
     * @return list<string>
     */
    private static function told(array $acts): array
    {
        return array_map(static fn (array $act): string => $act['at']->format('D j M H:i').' '.($act['step']->key ?? 'end'), $acts);
    }

    public function testAClockThatIsWoundForwardShowsEveryMessageWithItsTime(): void
    {
        $acts = (new Rehearsal(new SeriesWalk(self::working(), new Quiet('20:00', '08:00'))))->run(self::series(), self::at('2026-03-24 09:24'));

        self::assertSame(
            ['Tue 24 Mar 09:24 first', 'Thu 26 Mar 09:24 second', 'Fri 27 Mar 10:00 third', 'Tue 31 Mar 10:00 fourth', 'Thu 23 Apr 09:00 last', 'Thu 23 Apr 09:00 end'],
            self::told($acts),
        );
    }

    public function testAnAnswerLeavesTheNudgesForItsOwnCourse(): void
    {
        $rehearsal = new Rehearsal(new SeriesWalk(self::working()));
        self::assertSame(
            ['Tue 24 Mar 09:24 first', 'Thu 26 Mar 09:24 second', 'Thu 26 Mar 12:00 pick', 'Sun 29 Mar 12:00 ring', 'Sun 29 Mar 12:00 end'],
            self::told($rehearsal->run(self::series(), self::at('2026-03-24 09:24'), self::at('2026-03-26 12:00'), Course::Yes)),
        );
        self::assertSame(
            ['Tue 24 Mar 09:24 first', 'Wed 25 Mar 08:00 end'],
            self::told($rehearsal->run(self::series(), self::at('2026-03-24 09:24'), self::at('2026-03-25 08:00'))),
            'stop',
        );
        self::assertSame(
            ['Tue 24 Mar 09:24 first', 'Wed 25 Mar 08:00 end'],
            self::told($rehearsal->run(self::series(), self::at('2026-03-24 09:24'), self::at('2026-03-25 08:00'), Course::No)),
            'a course that is not there',
        );
        self::assertSame(
            ['Tue 24 Mar 09:24 first', 'Fri 24 Apr 08:00 fourth', 'Sun 17 May 09:00 last', 'Sun 17 May 09:00 end'],
            self::told($rehearsal->run(self::series(), self::at('2026-03-24 09:24'), self::at('2026-03-25 08:00'), Course::Later)),
        );
    }

    /** @return array<string, array{Wait, string, string}> */
    public static function waits(): array
    {
        return [
            'hours over the change of clocks are real hours' => [new Wait(3, 'hours', ''), '2026-03-29 00:30', '2026-03-29 04:30'],
            'days keep the time of day over it' => [new Wait(1, 'days', ''), '2026-03-28 09:00', '2026-03-29 09:00'],
            'working days pass over Easter' => [new Wait(1, 'working-days', ''), '2026-04-02 15:00', '2026-04-07 15:00'],
            'a working day from a Saturday counts from Monday' => [new Wait(1, 'working-days', '10:00'), '2026-03-28 15:00', '2026-03-31 10:00'],
            'until a time that is still to come' => [new Wait(1, 'hours', '17:00'), '2026-03-24 10:00', '2026-03-24 17:00'],
            'until a time that is over: the next day' => [new Wait(1, 'hours', '08:00'), '2026-03-24 10:00', '2026-03-25 08:00'],
            'a day, at an earlier time of it' => [new Wait(1, 'days', '08:00'), '2026-03-24 10:00', '2026-03-25 08:00'],
        ];
    }

    #[DataProvider('waits')]
    public function testWaits(Wait $wait, string $from, string $until): void
    {
        self::assertSame($until, $wait->from(self::at($from), self::working())->format('Y-m-d H:i'));
    }

    /** @return array<string, array{Wait, string|null, string}> */
    public static function named(): array
    {
        return [
            'the day that they named, at the time that is asked for' => [new Wait(30, 'days', '10:00', true), '2026-05-04', '2026-05-04 10:00'],
            'at the time of day of now where none is' => [new Wait(30, 'days', '', true), '2026-05-04', '2026-05-04 09:24'],
            'none was named' => [new Wait(30, 'days', '10:00', true), null, '2026-04-23 10:00'],
            'a day that is over' => [new Wait(30, 'days', '10:00', true), '2026-03-24', '2026-04-23 10:00'],
            'a wait that does not ask for it' => [new Wait(30, 'days', '10:00'), '2026-05-04', '2026-04-23 10:00'],
        ];
    }

    #[DataProvider('named')]
    public function testLaterCanWaitForTheDayThatTheyNamed(Wait $wait, ?string $day, string $until): void
    {
        self::assertSame(
            $until,
            $wait->from(self::at('2026-03-24 09:24'), self::working(), null === $day ? null : new \DateTimeImmutable($day, new \DateTimeZone('UTC')))->format('Y-m-d H:i'),
        );
    }

    public function testANamedDayIsReadAndWrittenAndMovesTheWalk(): void
    {
        $given = [
            'main' => [['key' => 'a', 'kind' => 'send', 'what' => 'a']],
            'later' => [['key' => 'w', 'kind' => 'wait', 'amount' => 30, 'unit' => 'days', 'at' => '10:00', 'named' => true], ['key' => 'b', 'kind' => 'send', 'what' => 'b']],
        ];
        $series = (new SeriesReader())->read($given);
        self::assertSame($given['later'][0], $series->toArray()['later'][0] ?? null);
        self::assertSame('until the day that they name, else 30 days, then at 10:00', $series->steps(Course::Later)[0]->wait?->words());
        $moved = (new SeriesWalk(self::working(), new Quiet('20:00', '08:00')))->move(
            $series,
            new Stand(Course::Later, 0),
            self::at('2026-03-24 09:24'),
            new \DateTimeImmutable('2026-12-01', new \DateTimeZone('UTC')),
        );
        self::assertSame('2026-12-01 10:00', $moved->due?->format('Y-m-d H:i'));
    }

    public function testNothingIsSentInQuietHoursAndATaskIsGivenAllTheSame(): void
    {
        $walk = new SeriesWalk(self::working(), new Quiet('20:00', '08:00'));
        self::assertSame(['2026-03-25 08:00', '2026-03-25 08:00', '2026-03-25 19:59', '2026-03-26 08:00'], array_map(static fn (string $at): string => $walk->afterQuiet(self::at($at))->format('Y-m-d H:i'), ['2026-03-24 20:00', '2026-03-25 07:59', '2026-03-25 19:59', '2026-03-25 23:00']));
        self::assertSame('2026-03-25 14:00', (new SeriesWalk(self::working(), new Quiet('12:00', '14:00')))->afterQuiet(self::at('2026-03-25 13:00'))->format('Y-m-d H:i'));
        $moved = $walk->move(self::series(), new Stand(Course::Main, 1), self::at('2026-03-24 22:00'));
        self::assertSame('2026-03-27 08:00', $moved->due?->format('Y-m-d H:i'));
    }

    /** @return array<string, array{Quiet, string, string}> */
    public static function quiet(): array
    {
        $hours = ['20:00', '08:00'];

        return [
            'a Sunday, and on to the end of the night' => [new Quiet(...[...$hours, QuietDays::Sundays]), '2026-03-29 12:00', '2026-03-30 08:00'],
            'Saturday night goes into Sunday, which is quiet' => [new Quiet(...[...$hours, QuietDays::Sundays]), '2026-03-28 21:00', '2026-03-30 08:00'],
            'a Saturday where only Sundays are' => [new Quiet(...[...$hours, QuietDays::Sundays]), '2026-03-28 12:00', '2026-03-28 12:00'],
            'a weekend' => [new Quiet('', '', QuietDays::Weekends), '2026-03-28 12:00', '2026-03-30 00:00'],
            'Easter, on days that are not worked' => [new Quiet(...[...$hours, QuietDays::Closed]), '2026-04-03 09:00', '2026-04-07 08:00'],
            'a closed day where only weekends are quiet' => [new Quiet('', '', QuietDays::Weekends), '2026-04-03 09:00', '2026-04-03 09:00'],
            'nothing is quiet' => [new Quiet(), '2026-03-29 03:00', '2026-03-29 03:00'],
            'from eight to eight is no time at all' => [new Quiet('08:00', '08:00'), '2026-03-24 08:00', '2026-03-24 08:00'],
        ];
    }

    #[DataProvider('quiet')]
    public function testQuietDays(Quiet $quiet, string $at, string $after): void
    {
        self::assertSame($after, $quiet->after(self::at($at), self::working())->format('Y-m-d H:i'));
    }

    public function testABusinessThatNeverWorksDoesNotGoRoundForEver(): void
    {
        $never = new WorkingDays([1], array_map(static fn (int $week): string => (new \DateTimeImmutable('2026-03-23'))->modify("+$week weeks")->format('Y-m-d'), range(0, 60)));
        self::assertSame('2027-03-29', (new Quiet('', '', QuietDays::Closed))->after(self::at('2026-03-24 09:00'), $never)->format('Y-m-d'));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function wrong(): array
    {
        $wait = ['key' => 'w', 'kind' => 'wait', 'amount' => 1, 'unit' => 'days'];
        $send = ['key' => 's', 'kind' => 'send', 'what' => 'x'];

        return [
            'nothing' => [[], 'courses.main'],
            'a wait of 400 days' => [['main' => [['amount' => 400] + $wait, $send]], 'courses.main.0.amount'],
            'a wait of nothing' => [['main' => [['amount' => 0] + $wait]], 'courses.main.0.amount'],
            'a wait in moons' => [['main' => [['unit' => 'moons'] + $wait]], 'courses.main.0.unit'],
            'until 25:00' => [['main' => [['at' => '25:00'] + $wait]], 'courses.main.0.at'],
            'no template' => [['main' => [['what' => ''] + $send]], 'courses.main.0.what'],
            'an unknown step' => [['main' => [['key' => 'x', 'kind' => 'dance']]], 'courses.main.0.kind'],
            'one key twice' => [['main' => [$send, $send]], 'courses.main.1.key'],
            'back to itself without waiting' => [['main' => [$send, ['key' => 'g', 'kind' => 'go-on', 'what' => 's']]], 'courses.main.1.what'],
            'on with a step that is gone' => [['main' => [$send], 'later' => [['key' => 'g', 'kind' => 'go-on', 'what' => 'gone']]], 'courses.later.0.what'],
        ];
    }

    /** @param array<string, mixed> $given */
    #[DataProvider('wrong')]
    public function testWhatWouldNeverEndOrNeverBeginIsRefused(array $given, string $path): void
    {
        try {
            (new SeriesReader())->read($given);
            self::fail('it was taken');
        } catch (InvalidSeries $refused) {
            self::assertSame($path, $refused->path);
        }
    }

    public function testAWayBackThatWaitsIsTaken(): void
    {
        $series = (new SeriesReader())->read(['main' => [['key' => 's', 'kind' => 'send', 'what' => 'x'], ['key' => 'w', 'kind' => 'wait', 'amount' => 30, 'unit' => 'days'], ['key' => 'g', 'kind' => 'go-on', 'what' => 's']]]);
        $acts = (new Rehearsal(new SeriesWalk(self::working())))->run($series, self::at('2026-03-24 09:00'));

        self::assertCount(100, $acts, 'the rehearsal ends, also of what does not');
        self::assertSame($series->toArray(), (new SeriesReader())->read($series->toArray())->toArray());
    }
}
