<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Booking;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Booking\Candidate;
use Telamon\Core\Booking\Crews;
use Telamon\Core\Booking\FreeTime;
use Telamon\Core\Booking\GoodTimes;
use Telamon\Core\Booking\InvalidType;
use Telamon\Core\Booking\Neighbours;
use Telamon\Core\Booking\Picks;
use Telamon\Core\Booking\Roads;
use Telamon\Core\Booking\TypeReader;
use Telamon\Core\Booking\WhoGetsIt;
use Telamon\Core\Slots\Held;
use Telamon\Core\Slots\LocalClock;
use Telamon\Core\Slots\SlotFinder;
use Telamon\Core\Slots\SlotPerson;
use Telamon\Core\Slots\SlotRequest;
use Telamon\Core\Slots\SlotType;

final class BookingTest extends TestCase
{
    public function testATypeIsReadAndWrittenTheSame(): void
    {
        $type = (new TypeReader())->read(['lengths' => [60, 90], 'people' => [['a', 'b']], 'price' => ' €95.00 ', 'dayLimit' => 4]);
        self::assertSame([60, 90], $type->lengths);
        self::assertSame('€95.00', $type->price);
        self::assertSame(1440, $type->cancelNotice, 'a day, unless it is changed');
        self::assertSame([1440, 120], array_column(array_map(get_object_vars(...), $type->reminders), 'minutes'));
        self::assertEquals($type, (new TypeReader())->read($type->toArray()));
    }

    /** @param array<string, mixed> $data */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsSaidBesideItsSetting(array $data, string $path): void
    {
        try {
            (new TypeReader())->read($data + ['people' => [['a']]]);
            self::fail('it was taken');
        } catch (InvalidType $error) {
            self::assertSame($path, $error->path);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no length' => [['lengths' => []], 'lengths'];
        yield 'nothing long' => [['lengths' => [0]], 'lengths.0'];
        yield '25 hours' => [['lengths' => [60, 1500]], 'lengths.1'];
        yield 'nobody can do it' => [['people' => [[]]], 'people'];
        yield 'two roles, any of them' => [['people' => [['a'], ['b']]], 'people'];
        yield 'somebody by number' => [['people' => [[1]]], 'people.0'];
        yield 'no such place' => [['place' => 'moon'], 'place'];
        yield 'a step of nothing' => [['step' => 0], 'step'];
        yield 'two reminders at one time' => [['reminders' => [['minutes' => 60, 'template' => 'a'], ['minutes' => 60, 'template' => 'b']]], 'reminders.1'];
        yield 'a price as a number' => [['price' => 95], 'price'];
    }

    public function testCrewsAreAnyOfThemAllOfThemOrOneOfEach(): void
    {
        $of = static fn (array $settings, array $free, string $asked = ''): array => (new Crews((new TypeReader())->read($settings)))->of(array_values(array_filter($free, \is_string(...))), $asked);
        $any = ['people' => [['b', 'a', 'c']]];
        self::assertSame([['b'], ['c']], $of($any, ['c', 'b', 'x']));
        self::assertSame([['c']], $of($any, ['c', 'b'], 'c'));
        $all = ['people' => [['a', 'b']], 'takes' => 'all'];
        self::assertSame([], $of($all, ['a']));
        self::assertSame([['a', 'b']], $of($all, ['b', 'a']));
        $each = ['people' => [['a', 'b'], ['b', 'c']], 'takes' => 'each'];
        self::assertSame([['a', 'b'], ['a', 'c'], ['b', 'c']], $of($each, ['a', 'b', 'c']));
        self::assertSame([], $of($each, ['b']), 'nobody takes two roles');
    }

    public function testWhoGetsItGoesByTurnsByWeekOrByWhoWasThereBefore(): void
    {
        $known = ['a' => new Candidate('a', 'Teo', 300, 1), 'b' => new Candidate('b', 'Pim', 100, 2, true), 'c' => new Candidate('c', 'Ada', 100, 1)];
        $crews = [['a'], ['b'], ['c']];
        self::assertSame(['c'], (new WhoGetsIt())->of($crews, Picks::Turns, $known), 'both have waited as long; Ada comes first by name');
        self::assertSame(['c'], (new WhoGetsIt())->of($crews, Picks::Fewest, $known));
        self::assertSame(['b'], (new WhoGetsIt())->of($crews, Picks::Earlier, $known));
    }

    public function testOneThousandGoneByTurnsDifferByOne(): void
    {
        $last = ['a' => 0, 'b' => 0, 'c' => 0];
        $had = ['a' => 0, 'b' => 0, 'c' => 0];
        for ($i = 1; $i <= 1000; ++$i) {
            $known = [];
            foreach ($last as $id => $when) {
                $known[$id] = new Candidate($id, $id, $when);
            }
            [$got] = (new WhoGetsIt())->of([['a'], ['b'], ['c']], Picks::Turns, $known);
            $last[$got] = $i;
            ++$had[$got];
        }
        self::assertLessThanOrEqual(1, max($had) - min($had));
    }

    public function testTheRoadIsFoundByTheAreaInAnAddress(): void
    {
        $roads = new Roads(['Marrowby' => ['Marsh End' => 18, 'Quarry Hall' => 12]], 20);
        self::assertSame('Marsh End', $roads->area('2 Ferry Lane, Marsh End'));
        self::assertSame(18, $roads->between('2 Ferry Lane, Marsh End', '7 Weir Cottages, Marrowby'), 'one way is known');
        self::assertSame(20, $roads->between('Marsh End', 'Quarry Hall'), 'this pair is not');
        self::assertSame(20, $roads->between('Somewhere', 'Marrowby'));
        self::assertSame(0, $roads->between('7 Weir Cottages, Marrowby', '7 weir cottages Marrowby'));
        self::assertSame(0, $roads->between('', 'Marrowby'), 'nobody goes anywhere');
        self::assertSame('', $roads->area('Marrowbyshire'), 'a part of a word is no area');
    }

    public function testTheRoadIsAddedToWhatIsKeptClear(): void
    {
        $at = static fn (string $time): int => (int) strtotime("2026-12-01T$time:00Z") * LocalClock::SECOND;
        $held = new Held($at('10:00'), $at('11:00'), 0, 15, 1, 20, 5);
        $request = new SlotRequest(
            new \DateTimeZone('UTC'),
            $at('00:00'),
            20_788,
            20_788,
            new SlotType(60, 0, 10, 5, 0, null, null, 1),
            [],
            [new SlotPerson('a', [2 => [[8 * 3600, 14 * 3600]]], appointments: [$held])],
        );
        $starts = array_map(static fn (array $slot): string => substr($slot['start'], 11, 5), (new SlotFinder())->find($request));
        self::assertContains('08:45', $starts, '60 minutes, 10 clear and 5 on the road');
        self::assertNotContains('08:50', $starts);
        self::assertNotContains('11:30', $starts);
        self::assertContains('11:35', $starts, '15 clear and 20 on the road');
    }

    public function testGoodTimesAreAsAskedNearLedAndWithoutSmallGaps(): void
    {
        $at = static fn (string $day, string $time): int => (int) strtotime("{$day}T$time:00Z");
        $time = static fn (string $who, string $day, string $time, Neighbours $n): FreeTime => new FreeTime(
            [$who],
            $at($day, $time),
            60 * (int) substr($time, 0, 2) + (int) substr($time, 3),
            $day,
            $n,
        );
        $between = new Neighbours($at('2026-03-26', '09:18'), $at('2026-03-26', '10:42'), 'Mill Row', 'Quarry Hall', 9, 6);
        $found = (new GoodTimes([480, 720], 25, 'sorcha', 45, 60))->next([
            $time('teo', '2026-03-26', '10:00', new Neighbours(null, null, '', '', 19, 10)),
            $time('sorcha', '2026-03-26', '09:30', $between),
            $time('sorcha', '2026-03-26', '09:40', $between),
            $time('sorcha', '2026-03-25', '14:00', new Neighbours(null, null, '', '', 0, 0)),
            $time('sorcha', '2026-03-24', '09:00', new Neighbours(null, null, '', '', 40, 20)),
            $time('sorcha', '2026-03-27', '11:00', new Neighbours($at('2026-03-27', '11:00'), null, 'Marsh End', '', 12, 6)),
        ], 5);
        self::assertSame(
            ['2026-03-27 11:00 sorcha', '2026-03-26 09:30 sorcha', '2026-03-26 10:00 teo', '2026-03-24 09:00 sorcha', '2026-03-25 14:00 sorcha'],
            array_map(static fn (array $one): string => gmdate('Y-m-d H:i', $one['time']->start).' '.$one['time']->crew[0], $found),
        );
        self::assertSame('After Marsh End, 6 min away. As asked.', $found[0]['why']);
        self::assertSame('Between Mill Row and Quarry Hall. As asked, leaves 12 min over.', $found[1]['why']);
        self::assertStringContainsString('somebody else leads', $found[2]['why']);
        self::assertStringContainsString('much driving', $found[3]['why']);
        self::assertStringContainsString('Not the part of day', $found[4]['why']);
    }
}
