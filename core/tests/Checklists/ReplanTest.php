<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Checklists;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\Replan;
use Telamon\Core\Checklists\StandingReader;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;

/**
 * A project in mid-life on Tuesday 1 December 2026, worked out by hand with a calendar of that month (Monday to Friday;
 * the weekend is the 5th and 6th). Two handed rules are the method's own: latest days count back from the end.
 */
final class ReplanTest extends TestCase
{
    private const LISTS = [
        ['key' => 'base', 'joins_after' => null, 'items' => [
            ['key' => 'talk', 'name' => 'First talk', 'takes' => 1, 'waits_for' => [], 'due' => null],
            ['key' => 'order', 'name' => 'Order the strings', 'takes' => 2, 'waits_for' => ['talk'], 'due' => null],
            ['key' => 'tune', 'name' => 'Tune', 'takes' => 1, 'waits_for' => ['order'], 'due' => null],
        ]],
        ['key' => 'moving', 'joins_after' => 'base/order', 'items' => [
            ['key' => 'pack', 'name' => 'Pack', 'takes' => 1, 'waits_for' => ['base/order'], 'due' => null],
            ['key' => 'carry', 'name' => 'Carry', 'takes' => 1, 'waits_for' => ['moving/pack'], 'due' => null],
        ]],
    ];

    public function testOpenTasksAreDatedFromTodayAndFromWhatIsDone(): void
    {
        $answer = $this->replan(['tasks' => [$this->done('talk', '2026-11-25'), $this->open('order', '2026-12-02'), $this->open('tune', '2026-12-04')]]);
        self::assertSame([['base/talk', 1, 'done', '2026-11-25'], ['base/order', 2, 'open', '2026-12-03'], ['base/tune', 3, 'open', '2026-12-04']], self::told($answer));
        self::assertSame([['base/order'], '2026-12-04', 0], [$answer['moved'], $answer['ends'], $answer['short_by']]);
    }

    public function testAListThatJoinsStandsBehindWhatItJoinsAndWaitsAsItSays(): void
    {
        $answer = $this->replan(['join' => ['moving'], 'tasks' => [$this->done('talk', '2026-11-25'), $this->open('order', '2026-12-03'), $this->open('tune', '2026-12-04')]]);
        self::assertSame(
            [
                ['base/talk', 1, 'done', '2026-11-25'],
                ['base/order', 2, 'open', '2026-12-03'],
                ['moving/pack', 3, 'open', '2026-12-04'],
                ['moving/carry', 4, 'open', '2026-12-07'],
                ['base/tune', 5, 'open', '2026-12-04'],
            ],
            self::told($answer),
        );
        self::assertSame(
            [[], ['moving/pack', 'moving/carry'], '2026-12-07'],
            [
                $answer['moved'],
                array_values(array_map(static fn (array $one): string => $one['key'], array_filter($answer['tasks'], static fn (array $one): bool => $one['new']))),
                $answer['ends'],
            ],
        );
        self::assertSame([[], ['base/talk'], ['base/order'], ['moving/pack'], ['base/order']], array_column($answer['tasks'], 'waits_for'));
    }

    public function testWhatWasRemovedStaysAwayAndItsWaitsAreHandedOn(): void
    {
        $answer = $this->replan([
            'join' => ['moving'],
            'tasks' => [
                $this->open('talk', null),
                ['key' => 'base/order', 'state' => 'removed', 'due' => null],
                $this->open('tune', null),
                ['key' => 'moving/pack', 'state' => 'removed', 'due' => null],
            ],
        ]);
        self::assertSame(['base/talk' => [], 'moving/carry' => ['base/talk'], 'base/tune' => ['base/talk']], array_column($answer['tasks'], 'waits_for', 'key'));
        // An item that nobody has an entry for, of a list that does not join, is not there either.
        self::assertSame(['base/tune'], array_column($this->replan(['tasks' => [$this->open('tune', null)]])['tasks'], 'key'));
    }

    public function testWhatPeopleSetStays(): void
    {
        $answer = $this->replan(['join' => ['moving'], 'tasks' => [
            $this->done('talk', null),
            ['key' => 'base/order', 'state' => 'open', 'due' => '2026-12-24', 'by_hand' => ['due', 'takes'], 'takes' => 0],
            ['key' => 'base/tune', 'state' => 'open', 'due' => '2026-12-04', 'by_hand' => ['waits_for'], 'waits_for' => ['moving/carry', 'gone']],
        ]]);
        self::assertSame(
            [
                ['base/talk', 1, 'done', null],
                ['base/order', 2, 'open', '2026-12-24'],
                ['moving/pack', 3, 'open', '2026-12-02'],
                ['moving/carry', 4, 'open', '2026-12-03'],
                ['base/tune', 5, 'open', '2026-12-04'],
            ],
            self::told($answer),
        );
        self::assertSame(['moving/carry'], $answer['tasks'][4]['waits_for']);
        // Nobody waits for what was taken out of the waits by hand.
        self::assertSame(
            [],
            $this->replan(['tasks' => [
                $this->open('talk', null),
                ['key' => 'base/tune', 'state' => 'open', 'due' => null, 'by_hand' => ['waits_for'], 'waits_for' => []],
            ]])['tasks'][1]['waits_for'],
        );
    }

    public function testLateStaysLateAndDoneStaysAsItWas(): void
    {
        $answer = $this->replan(['tasks' => [$this->done('talk', '2026-12-30'), $this->open('order', '2026-11-27'), $this->open('tune', '2026-12-01')]]);
        self::assertSame(['2026-12-30', '2026-11-27', '2026-12-04'], array_column($answer['tasks'], 'due'));
        self::assertSame(['base/tune'], $answer['moved']);
    }

    public function testLatestDaysCountBackFromTheReadyByDayOrFromTheEndWhereThatIsLater(): void
    {
        $tasks = [$this->done('talk', null), $this->open('order', null), $this->open('tune', null)];
        // The 10th is seven working days on: tune on it, carry too, pack a day before, order a day before that.
        $answer = $this->replan(['ready_by' => '2026-12-10', 'join' => ['moving'], 'tasks' => $tasks]);
        self::assertSame([null, '2026-12-08', '2026-12-09', '2026-12-10', '2026-12-10'], array_column($answer['tasks'], 'due'));
        self::assertSame([0, '2026-12-07'], [$answer['short_by'], $answer['ends']]);
        // On the 2nd it cannot be ready: three days are missing, and all count back from the end, the 7th.
        $answer = $this->replan(['ready_by' => '2026-12-02', 'join' => ['moving'], 'tasks' => $tasks]);
        self::assertSame([[null, '2026-12-03', '2026-12-04', '2026-12-07', '2026-12-07'], 3], [array_column($answer['tasks'], 'due'), $answer['short_by']]);
        // It lies back already: Friday the 27th, two working days before.
        self::assertSame(6, $this->replan(['ready_by' => '2026-11-28', 'join' => ['moving'], 'tasks' => $tasks])['short_by']);
    }

    public function testAnItemsOwnDayHoldsWhereItCanBeKept(): void
    {
        $lists = self::LISTS;
        $lists[0]['items'][1]['due'] = ['from' => 'start', 'days' => 3];
        $lists[0]['items'][2]['due'] = ['from' => 'ready_by', 'days' => 2, 'before' => true];
        $tasks = [$this->done('talk', null), $this->open('order', null), $this->open('tune', null)];
        // Three working days from the start lie before what can be done: the 3rd. Two before the 18th is the 16th.
        self::assertSame([null, '2026-12-03', '2026-12-16'], array_column($this->replan(['ready_by' => '2026-12-18', 'checklists' => $lists, 'tasks' => $tasks])['tasks'], 'due'));
        // Without a ready-by day nothing counts from it.
        self::assertSame([null, '2026-12-03', '2026-12-04'], array_column($this->replan(['checklists' => $lists, 'tasks' => $tasks])['tasks'], 'due'));
        $lists[0]['items'][1]['due'] = ['from' => 'start', 'days' => 10];
        self::assertSame('2026-12-08', $this->replan(['checklists' => $lists, 'tasks' => $tasks])['tasks'][1]['due']);
    }

    public function testOnAClosedDayItBeginsOnTheNext(): void
    {
        $answer = $this->replan(['today' => '2026-12-05', 'closures' => ['2026-12-07'], 'tasks' => [$this->done('talk', null), $this->open('order', null)]]);
        self::assertSame(['2026-12-10', '2026-12-10'], [$answer['tasks'][1]['due'], $answer['ends']]);
    }

    public function testWhereAllIsDoneNothingEnds(): void
    {
        $answer = $this->replan(['ready_by' => '2026-11-20', 'tasks' => [$this->done('talk', '2026-11-25'), ['key' => 'base/tune', 'state' => 'removed', 'due' => null]]]);
        self::assertSame([1, [], null, 0], [\count($answer['tasks']), $answer['moved'], $answer['ends'], $answer['short_by']]);
        self::assertSame(['tasks' => [], 'moved' => [], 'ends' => null, 'short_by' => 0], $this->replan(['tasks' => []]));
    }

    public function testACircleIsNamedAlsoByHandAndNotWhereItIsDone(): void
    {
        $waits = static fn (string $state): array => ['key' => 'base/talk', 'state' => $state, 'due' => null, 'by_hand' => ['waits_for'], 'waits_for' => ['tune']];
        self::assertSame('done', $this->replan(['tasks' => [$waits('done'), $this->open('order', null), $this->open('tune', null)]])['tasks'][0]['state']);
        try {
            $this->replan(['tasks' => [$waits('open'), $this->open('order', null), $this->open('tune', null)]]);
            self::fail('a circle');
        } catch (WorkInCircle $circle) {
            self::assertEqualsCanonicalizing(['base/talk', 'base/order', 'base/tune'], $circle->keys);
        }
    }

    public function testWhatCannotBeReadIsNamed(): void
    {
        foreach ([
            '“today”' => [['today' => 'today'], 'today: write a day'],
            'a list' => [['join' => ['none']], 'none is not among the checklists'],
            'a task' => [['tasks' => [$this->open('nothing', null)]], 'base/nothing is in none of the checklists'],
            'twice' => [['tasks' => [$this->open('talk', null), $this->open('talk', null)]], 'stands there twice'],
            'its state' => [['tasks' => [['key' => 'base/talk', 'state' => 'begun']]], 'state is open, done or removed'],
            'by whom' => [['tasks' => [['by_hand' => ['name']] + $this->open('talk', null)]], 'by_hand names'],
            'how long' => [['tasks' => [['by_hand' => ['takes'], 'takes' => -1] + $this->open('talk', null)]], 'takes is a whole number'],
            'its day' => [['tasks' => [$this->open('talk', '2026-02-30')]], 'base/talk.due: write a day'],
        ] as $what => [$part, $why]) {
            try {
                $this->replan($part);
                self::fail($what);
            } catch (UnreadableOutline $error) {
                self::assertStringContainsString($why, $error->getMessage());
            }
        }
    }

    /**
     * @param array<string, mixed> $part
     *
     * @return array{tasks: list<array{key: string, number: int, waits_for: list<string>, state: string, due: string|null, new: bool}>, moved: list<string>, ends: string|null, short_by: int}
     */
    private function replan(array $part): array
    {
        return (new Replan())->of((new StandingReader())->read($part + ['start' => '2026-11-24', 'ready_by' => null, 'open_weekdays' => [1, 2, 3, 4, 5], 'closures' => [], 'checklists' => self::LISTS, 'today' => '2026-12-01', 'join' => [], 'tasks' => []]));
    }

    /** @return array<string, mixed> */
    private function open(string $item, ?string $due): array
    {
        return ['key' => "base/$item", 'state' => 'open', 'due' => $due];
    }

    /** @return array<string, mixed> */
    private function done(string $item, ?string $due): array
    {
        return ['key' => "base/$item", 'state' => 'done', 'due' => $due];
    }

    /**
     * @param array{tasks: list<array{key: string, number: int, state: string, due: string|null, ...}>, ...} $answer
     *
     * @return list<array{string, int, string, string|null}>
     */
    private static function told(array $answer): array
    {
        return array_map(static fn (array $one): array => [$one['key'], $one['number'], $one['state'], $one['due']], $answer['tasks']);
    }
}
