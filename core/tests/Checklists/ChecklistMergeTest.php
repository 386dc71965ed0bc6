<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Checklists;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\ChecklistReader;
use Telamon\Core\Checklists\Crew;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\DoerKind;
use Telamon\Core\Checklists\Due;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Core\Checklists\DueUnit;
use Telamon\Core\Checklists\InvalidChecklist;
use Telamon\Core\Checklists\Merged;
use Telamon\Core\Checklists\OutlineMerge;
use Telamon\Core\Checklists\OutlineReader;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Checklists\WorkInCircle;
use Telamon\Core\Condition\Facts;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Time\WorkingDays;

/** Checklists as people write them, merged; what it has in common with telamon:tasks:merge is held to that. */
final class ChecklistMergeTest extends TestCase
{
    public function testAnAddOnStandsWhereItJoins(): void
    {
        $merged = self::merge([
            new Checklist('base', 'Base', [self::item('talk'), self::item('agreement', waits: ['talk'])]),
            new Checklist('repair', 'Repair', [self::item('look', waits: ['base/talk']), self::item('parts', waits: ['look', 'base/agreement'])], 'base/talk'),
        ]);
        self::assertSame(['base/talk', 'repair/look', 'base/agreement', 'repair/parts'], self::keys($merged));
        self::assertSame([[], [1], [1], [2, 3]], array_column($merged->tasks, 'waitsFor'));
        self::assertSame([1, 2, 3, 4], array_column($merged->tasks, 'number'));
    }

    public function testADayAfterThatOfWhatWaitsForItIsSaid(): void
    {
        $dated = static fn (string $key, int $days, string ...$waits): ChecklistItem => new ChecklistItem(
            $key,
            $key,
            Doer::lead(),
            1,
            new Due(DueFrom::Start, $days),
            array_values($waits),
        );
        $merged = self::merge([new Checklist('base', 'Base', [$dated('order', 10), $dated('fit', 2, 'order'), $dated('thanks', 12, 'fit', 'order')])]);
        self::assertSame(['base/order'], array_column($merged->clashes(), 'key'), 'a day of its own alone, and only where it lies after');
        self::assertStringStartsWith('“order” is due on ', $merged->clashes()[0]['words']);
        self::assertStringContainsString('after “fit”, which waits for it', $merged->clashes()[0]['words']);
        self::assertSame([], self::merge([new Checklist('base', 'Base', [$dated('order', 2), $dated('fit', 2, 'order')])])->clashes(), 'on one day both can be kept');
    }

    public function testAnAddOnJoinsAfterTheLastItemOfAGroup(): void
    {
        $grouped = static fn (string $key, string $group): ChecklistItem => new ChecklistItem($key, $key, Doer::lead(), group: $group);
        $base = new Checklist('base', 'Base', [$grouped('talk', 'Before'), $grouped('agreement', 'Before'), $grouped('thanks', 'After')]);
        $addOn = static fn (string $joins): Checklist => new Checklist('add', 'Add', [self::item('look')], $joins);
        self::assertSame(['base/talk', 'base/agreement', 'add/look', 'base/thanks'], self::keys(self::merge([$base, $addOn('base/@Before')])));
        self::assertSame(
            ['base/talk', 'base/agreement', 'base/thanks', 'add/look'],
            self::keys(self::merge([$base, $addOn('base/@Nowhere')])),
            'a group that is not there: at the end',
        );
        self::assertSame('base/@Vor Ort, früh', (new ChecklistReader())->read(['key' => 'add', 'name' => 'Add', 'joinsAfter' => 'base/@Vor Ort, früh', 'items' => []])->joinsAfter);
    }

    public function testAListThatIsNamedTwiceJoinsOnce(): void
    {
        $list = new Checklist('base', 'Base', [self::item('talk')]);
        self::assertSame(['base/talk'], self::keys(self::merge([$list, $list])));
    }

    public function testWhatWaitsForAnItemThatIsLeftOutWaitsForWhatThatWaitsFor(): void
    {
        $only = ['question' => 'stairs', 'op' => 'is', 'value' => 'yes'];
        $list = new Checklist('base', 'Base', [
            self::item('talk'), self::item('hands', waits: ['talk'], if: $only), self::item('van', waits: ['hands'], if: $only), self::item('collect', waits: ['van']),
        ]);
        $without = self::merge([$list]);
        self::assertSame(['base/talk', 'base/collect'], self::keys($without));
        self::assertSame([1], $without->tasks[1]->waitsFor);
        self::assertSame(['base/hands', 'base/van'], array_column($without->leftOut, 'key'));
        $with = self::merge([$list], facts: new Facts(['stairs' => 'yes'], '2026-11-24'));
        self::assertSame(['base/talk', 'base/hands', 'base/van', 'base/collect'], self::keys($with));
    }

    public function testACircleBetweenTwoListsIsRefusedByItsItems(): void
    {
        try {
            self::merge([new Checklist('a', 'A', [self::item('one', waits: ['b/two'])]), new Checklist('b', 'B', [self::item('two', waits: ['a/one'])])]);
            self::fail('it was merged');
        } catch (WorkInCircle $circle) {
            self::assertSame(['a/one', 'b/two'], $circle->keys);
        }
    }

    public function testAPlainWordIsSaidWhereTheDayCannotBeMet(): void
    {
        $list = new Checklist('base', 'Base', [self::item('strings', takes: 8), self::item('fit', takes: 3, waits: ['strings']), self::item('clean', takes: 1)]);
        // Tuesday to the Tuesday after next: ten working days.
        $merged = self::merge([$list], readyBy: '2026-12-08');
        self::assertSame([11, 10, 1], [$merged->length, $merged->room, $merged->shortBy]);
        self::assertSame('1 working day short; the longest chain is: Item strings, Item fit', $merged->verdict());
        self::assertSame('2026-12-09', $merged->done->format('Y-m-d'));
        self::assertSame([0, 0, 10], array_column($merged->tasks, 'float'));
        self::assertSame([true, true, false], array_column($merged->tasks, 'onChain'));
        self::assertSame('', self::merge([$list], readyBy: '2026-12-09')->verdict());
    }

    public function testAReadyByDayInThePastIsShortAndNoDayIsBeforeTheStart(): void
    {
        $merged = self::merge([new Checklist('base', 'Base', [self::item('talk')])], readyBy: '2026-11-20');
        self::assertSame([-2, 3], [$merged->room, $merged->shortBy]);
        self::assertSame('2026-11-25', $merged->tasks[0]->due->format('Y-m-d'));
    }

    #[DataProvider('dues')]
    public function testDueDaysAreCountedFromWhatTheyHangOn(Due $due, string $day): void
    {
        $anchors = new Anchors(
            new \DateTimeImmutable('2026-11-24 16:30', new \DateTimeZone('Europe/Dublin')),
            self::day('2026-12-19'),
            null,
            new \DateTimeImmutable('2026-12-02 10:00', new \DateTimeZone('Europe/Dublin')),
        );
        $list = new Checklist('base', 'Base', [self::item('talk', takes: 2), new ChecklistItem('it', 'It', Doer::lead(), 1, $due)]);
        $merged = (new ChecklistMerge(new WorkingDays([1, 2, 3, 4, 5], ['2026-12-03'])))->merge([$list], $anchors);
        self::assertSame($day, $merged->tasks[1]->due->format('Y-m-d'));
    }

    /** @return iterable<string, array{Due, string}> on Tuesday 24 November 2026, closed on 3 December, ready by Saturday the 19th */
    public static function dues(): iterable
    {
        yield 'working days after acceptance, over the closure' => [new Due(DueFrom::Accepted, 8), '2026-12-07'];
        yield 'calendar days that end on a Sunday' => [new Due(DueFrom::Start, 5, DueUnit::CalendarDays), '2026-11-30'];
        yield 'calendar days before the ready-by day, on a Sunday' => [new Due(DueFrom::ReadyBy, -6, DueUnit::CalendarDays), '2026-12-11'];
        yield 'on the ready-by day, which is a Saturday' => [new Due(DueFrom::ReadyBy, 0), '2026-12-18'];
        yield 'working days before it' => [new Due(DueFrom::ReadyBy, -2), '2026-12-16'];
        yield 'the day after the appointment is closed' => [new Due(DueFrom::Appointment, 1, DueUnit::CalendarDays), '2026-12-04'];
        yield 'hours after the appointment' => [new Due(DueFrom::Appointment, 3, DueUnit::Hours), '2026-12-02'];
        yield 'hours that end in the night before a closure’s day' => [new Due(DueFrom::Appointment, 15, DueUnit::Hours), '2026-12-04'];
        yield 'after another item' => [new Due(DueFrom::Item, 2, item: 'talk'), '2026-11-30'];
        yield 'after an item that is not there: as it follows' => [new Due(DueFrom::Item, 2, item: 'gone'), '2026-12-18'];
    }

    public function testHoursGoByWhateverTheClocksDo(): void
    {
        // In Dublin, 28 March 2027 has no hour from one to two; 25 October 2026 has it twice (IANA time zone database).
        $due = static fn (string $accepted, int $hours): string => (new ChecklistMerge(new WorkingDays([1, 2, 3, 4, 5, 6, 7], [])))->merge(
            [new Checklist('base', 'Base', [new ChecklistItem('it', 'It', Doer::lead(), 1, new Due(DueFrom::Accepted, $hours, DueUnit::Hours))])],
            new Anchors(new \DateTimeImmutable($accepted, new \DateTimeZone('Europe/Dublin'))),
        )->tasks[0]->due
            ->format('Y-m-d');
        self::assertSame('2027-03-28', $due('2027-03-27 12:30', 12), 'half past midnight');
        self::assertSame('2027-03-29', $due('2027-03-28 00:30', 23), 'a day of 23 hours');
        self::assertSame('2026-10-25', $due('2026-10-25 00:30', 23), 'a day of 25 hours');
    }

    public function testAYearOfClosuresIsNoReasonToStop(): void
    {
        $closed = [];
        for ($day = self::day('2027-01-01'); $day < self::day('2028-01-01'); $day = $day->modify('+1 day')) {
            $closed[] = $day->format('Y-m-d');
        }
        $merged = (new ChecklistMerge(new WorkingDays([1, 2, 3, 4, 5], $closed)))->merge(
            [new Checklist('base', 'Base', [self::item('one', takes: 2)])],
            new Anchors(self::day('2026-12-31')),
        );
        self::assertSame('2028-01-04', $merged->tasks[0]->due->format('Y-m-d'));
    }

    public function testItPrintsWhatTheCommandPrints(): void
    {
        /** @var list<array{in: array{checklists: list<array{key: string, joins_after: string|null, items: list<array{key: string, name: string, takes: int, waits_for: list<string>, due: array{from: string, days: int, before?: bool}|null}>}>}}> $graphs */
        $graphs = json_decode((string) file_get_contents(__DIR__.'/graphs.json'), true, 32, \JSON_THROW_ON_ERROR);
        $compared = 0;
        foreach ($graphs as ['in' => $input]) {
            $outline = (new OutlineReader())->read($input);
            try {
                $expected = (new OutlineMerge())->of($outline);
            } catch (WorkInCircle) {
                continue;
            }
            $lists = [];
            foreach ($input['checklists'] as $list) {
                $items = [];
                foreach ($list['items'] as $item) {
                    $due = $item['due'];
                    $items[] = new ChecklistItem(
                        $item['key'],
                        $item['name'],
                        Doer::lead(),
                        $item['takes'],
                        null === $due ? null : new Due('start' === $due['from'] ? DueFrom::Start : DueFrom::ReadyBy, $due['before'] ?? false ? -$due['days'] : $due['days']),
                        $item['waits_for'],
                    );
                }
                $lists[] = new Checklist($list['key'], $list['key'], $items, $list['joins_after'] ?? '');
            }
            $merged = (new ChecklistMerge($outline->calendar))->merge($lists, new Anchors($outline->start, $outline->readyBy));
            self::assertSame(
                array_map(static fn (array $task): array => [$task['key'], $task['earliest_start'], $task['float'], $task['due']], $expected['tasks']),
                array_map(static fn (PlannedTask $task): array => [$task->key, $task->earliestStart, $task->float, $task->due->format('Y-m-d')], $merged->tasks),
            );
            self::assertSame(
                [$expected['short_by'], $expected['longest_chain']],
                [
                    $merged->shortBy,
                    array_values(array_map(static fn (PlannedTask $task): string => $task->key, array_filter($merged->tasks, static fn (PlannedTask $task): bool => $task->onChain))),
                ],
            );
            ++$compared;
        }
        self::assertGreaterThan(40, $compared);
    }

    public function testWhoDoesItIsFoundAmongThoseWhoAreHere(): void
    {
        [$nessa, $sorcha, $pim, $teo] = [new StaffMember('n', 'Nessa Quarle', ''), new StaffMember('s', 'Sorcha Vell', ''), new StaffMember('p', 'Pim Tarrow', ''), new StaffMember('t', 'Teo Ash', '')];
        $crew = new Crew($nessa, $sorcha, ['p' => $pim, 't' => $teo], ['base/van' => ['p' => '7']], ['p' => 1, 't' => 3]);
        self::assertSame($nessa, $crew->of(Doer::coordinator(), 'base/van'));
        self::assertSame($sorcha, $crew->of(Doer::lead(), 'base/van'));
        self::assertSame($pim, $crew->of(new Doer(DoerKind::Named, ['p']), 'base/van'));
        self::assertSame($teo, $crew->of(new Doer(DoerKind::Turns, ['p', 't']), 'base/van'), 'Pim had the last one');
        self::assertSame($pim, $crew->of(new Doer(DoerKind::Turns, ['p', 't']), 'base/look'), 'nobody had one: the first');
        self::assertSame($pim, $crew->of(new Doer(DoerKind::Fewest, ['t', 'p']), 'base/van'));
        $gone = new Doer(DoerKind::Named, ['gone']);
        self::assertSame($sorcha, $crew->of($gone, 'base/van'), 'who has left is the lead now');
        self::assertTrue($crew->hasLeft($gone));
        self::assertFalse($crew->hasLeft(Doer::lead()));
    }

    /** @param array<string, mixed> $part */
    #[DataProvider('wrong')]
    public function testWhatIsNoChecklistIsRefusedWhereItIsWrong(array $part, string $path): void
    {
        $item = (\is_array($part['item'] ?? null) ? $part['item'] : []) + ['key' => 'one', 'name' => 'One', 'doer' => 'lead'];
        try {
            (new ChecklistReader())->read($part + ['key' => 'base', 'name' => 'Base', 'items' => [$item]]);
            self::fail('it was read');
        } catch (InvalidChecklist $error) {
            self::assertSame($path, $error->path);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [['name' => ' '], 'name'];
        yield 'a key with capitals' => [['key' => 'Base'], 'key'];
        yield 'joins itself' => [['joinsAfter' => 'base/one'], 'joinsAfter'];
        yield 'no list' => [['items' => 'none'], 'items'];
        yield 'an item without a name' => [['item' => ['name' => '']], 'items.0.name'];
        yield 'a field that is not closed' => [['item' => ['name' => '{{#client}}For']], 'items.0.name'];
        yield 'nobody does it' => [['item' => ['doer' => 'somebody']], 'items.0.doer'];
        yield 'one alone takes turns' => [['item' => ['doer' => 'turns', 'among' => ['a']]], 'items.0.among'];
        yield 'half a day' => [['item' => ['takes' => 0.5]], 'items.0.takes'];
        yield 'less than nothing' => [['item' => ['effort' => -1]], 'items.0.effort'];
        yield 'due from nowhere' => [['item' => ['due' => ['from' => 'payday', 'amount' => 1]]], 'items.0.due.from'];
        yield 'hours before a day' => [['item' => ['due' => ['from' => 'ready-by', 'amount' => 1, 'unit' => 'hours']]], 'items.0.due.unit'];
        yield 'a condition that is none' => [['item' => ['if' => ['question' => 'x', 'op' => 'likes']]], 'items.0.if'];
        yield 'done by magic' => [['item' => ['doneBy' => 'magic']], 'items.0.doneBy'];
        yield 'approved by what is no role' => [['item' => ['approval' => 'King!']], 'items.0.approval'];
        yield 'the same key twice' => [['items' => [['key' => 'one', 'name' => 'One', 'doer' => 'lead'], ['key' => 'one', 'name' => 'Again', 'doer' => 'lead']]], 'items.1.key'];
    }

    public function testWhatIsWrittenIsReadAgain(): void
    {
        $list = (new ChecklistReader())->read(['key' => 'base', 'name' => 'Base', 'purpose' => 'For all', 'items' => [['key' => 'one', 'name' => 'One for {{client}}', 'doer' => 'turns', 'among' => ['a', 'b'], 'takes' => 0, 'effort' => 30, 'due' => ['from' => 'item', 'amount' => -3, 'unit' => 'calendar', 'item' => 'x/y'], 'waitsFor' => ['x/y'], 'if' => ['question' => 'q', 'op' => 'is', 'value' => 'v'], 'doneBy' => 'quote', 'approval' => 'owner', 'shown' => true, 'steps' => ['a', '', 'b'], 'group' => 'G', 'words' => 'W']]]);
        self::assertSame(['a', 'b'], $list->items[0]->steps);
        self::assertEquals($list, (new ChecklistReader())->read($list->toArray()));
    }

    /** @param list<Checklist> $lists */
    private static function merge(array $lists, ?string $readyBy = null, ?Facts $facts = null): Merged
    {
        return (new ChecklistMerge(new WorkingDays([1, 2, 3, 4, 5], [])))->merge($lists, new Anchors(new \DateTimeImmutable('2026-11-24 10:00', new \DateTimeZone('Europe/Dublin')), null === $readyBy ? null : self::day($readyBy)), $facts);
    }

    private static function day(string $iso): \DateTimeImmutable
    {
        return new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
    }

    /**
     * @param list<string> $waits
     * @param array<string, mixed>|null $if
     */
    private static function item(string $key, int $takes = 1, array $waits = [], ?array $if = null): ChecklistItem
    {
        return new ChecklistItem($key, "Item $key", Doer::lead(), $takes, null, $waits, if: $if);
    }

    /** @return list<string> */
    private static function keys(Merged $merged): array
    {
        return array_map(static fn (PlannedTask $task): string => $task->key, $merged->tasks);
    }
}
