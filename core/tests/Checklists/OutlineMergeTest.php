<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Checklists;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\OutlineMerge;
use Telamon\Core\Checklists\OutlineReader;
use Telamon\Core\Checklists\UnreadableOutline;
use Telamon\Core\Checklists\WorkInCircle;

final class OutlineMergeTest extends TestCase
{
    private const WEEK = ['start' => '2026-11-24', 'ready_by' => null, 'open_weekdays' => [1, 2, 3, 4, 5], 'closures' => ['2026-12-25']];

    /**
     * Order, earliest and latest days, longest chain and due days of 50 made sets of checklists, as networkx 2.8.8 and a
     * count of single days have them; graphs.py makes the file.
     *
     * @param array<string, mixed> $question
     * @param array<string, mixed> $expected
     */
    #[DataProvider('graphs')]
    public function testMergesAsNetworkxDoes(array $question, array $expected): void
    {
        try {
            self::assertSame($expected, self::merge($question));
        } catch (WorkInCircle $circle) {
            $waits = self::waits($question);
            self::assertArrayHasKey('circle', $expected, $circle->getMessage());
            self::assertIsArray($expected['circle']);
            foreach ($circle->keys as $i => $key) {
                self::assertContains($key, $expected['circle']);
                self::assertContains($circle->keys[$i + 1] ?? $circle->keys[0], $waits[$key]);
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> */
    public static function graphs(): iterable
    {
        /** @var list<array{in: array<string, mixed>, out: array<string, mixed>}> $made */
        $made = json_decode((string) file_get_contents(__DIR__.'/graphs.json'), true, 64, \JSON_THROW_ON_ERROR);
        foreach ($made as $i => $one) {
            yield "made $i" => [$one['in'], $one['out']];
        }
    }

    /**
     * The building of a plant in F. S. Hillier and G. J. Lieberman, Introduction to Operations Research, chapter on
     * project management with PERT/CPM: 44 weeks along A B C E F J L N, slacks as in its table (values from memory).
     */
    public function testTheWorkedExampleOfAHandbook(): void
    {
        $takes = ['A' => 2, 'B' => 4, 'C' => 10, 'D' => 6, 'E' => 4, 'F' => 5, 'G' => 7, 'H' => 9, 'I' => 7, 'J' => 8, 'K' => 4, 'L' => 5, 'M' => 2, 'N' => 6];
        $waits = [
            'B' => ['A'],
            'C' => ['B'],
            'D' => ['C'],
            'E' => ['C'],
            'F' => ['E'],
            'G' => ['D'],
            'H' => ['E', 'G'],
            'I' => ['C'],
            'J' => ['F', 'I'],
            'K' => ['J'],
            'L' => ['J'],
            'M' => ['H'],
            'N' => ['K', 'L'],
        ];
        $items = [];
        foreach ($takes as $key => $days) {
            $items[] = ['key' => $key, 'takes' => $days, 'waits_for' => $waits[$key] ?? []];
        }
        $made = self::merge(['checklists' => [['key' => 'plant', 'items' => $items]]] + self::WEEK);
        self::assertSame(['plant/A', 'plant/B', 'plant/C', 'plant/E', 'plant/F', 'plant/J', 'plant/L', 'plant/N'], $made['longest_chain']);
        self::assertSame(44, max([0, ...array_column($made['tasks'], 'earliest_finish')]));
        $slack = array_column($made['tasks'], 'float', 'key');
        ksort($slack);
        self::assertSame([0, 0, 0, 4, 0, 0, 4, 4, 2, 0, 1, 0, 4, 0], array_values($slack));
    }

    public function testWhatJoinsStandsDirectlyAfterTheItemAndEachIsFollowedByWhatJoinsIt(): void
    {
        $lists = [
            ['key' => 'late', 'joins_after' => 'base/a', 'items' => [['key' => 'x', 'takes' => 0]]],
            ['key' => 'base', 'items' => [['key' => 'a', 'takes' => 0], ['key' => 'b', 'takes' => 0]]],
            ['key' => 'later', 'joins_after' => 'base/a', 'items' => [['key' => 'y', 'takes' => 0]]],
            ['key' => 'inner', 'joins_after' => 'late/x', 'items' => [['key' => 'z', 'takes' => 0]]],
        ];
        $made = self::merge(['checklists' => $lists] + self::WEEK);
        self::assertSame(['base/a', 'late/x', 'inner/z', 'later/y', 'base/b'], array_column($made['tasks'], 'key'));
        self::assertSame(['base/a'], $made['longest_chain']);
    }

    public function testDaysAroundAClosureForwardAndBack(): void
    {
        $items = [
            ['key' => 'a', 'takes' => 2],
            ['key' => 'b', 'takes' => 1, 'waits_for' => ['a', 'base/a']],
            ['key' => 'c', 'takes' => 0, 'due' => ['from' => 'ready_by', 'days' => 4, 'before' => true]],
        ];
        $question = ['start' => '2026-12-23', 'ready_by' => '2026-12-25', 'checklists' => [['key' => 'base', 'items' => $items]]] + self::WEEK;
        $made = self::merge($question);
        self::assertSame(['2026-12-28', '2026-12-29', '2026-12-18'], array_column($made['tasks'], 'due'));
        self::assertSame(2, $made['short_by']);
        self::assertSame([['a']], \array_slice(array_column($made['tasks'], 'waits_for'), 1, 1));
        $past = self::merge(['ready_by' => '2026-12-20'] + $question);
        self::assertSame(6, $past['short_by']);
        self::assertSame('2026-12-14', $past['tasks'][2]['due']);
    }

    /** @param array<string, mixed> $question */
    #[DataProvider('refused')]
    public function testWhatCannotBeMergedIsRefusedByName(array $question, string $why): void
    {
        try {
            self::merge($question + ['checklists' => []] + self::WEEK);
            self::fail('this was merged');
        } catch (UnreadableOutline|WorkInCircle $refusal) {
            self::assertSame($why, $refusal->getMessage());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        $list = static fn (string $key, ?string $joins, array ...$items): array => ['key' => $key, 'joins_after' => $joins, 'items' => $items];
        $item = static fn (string $key, string ...$waits): array => ['key' => $key, 'takes' => 1, 'waits_for' => $waits];
        yield 'a circle, with something that leads into it' => [
            ['checklists' => [$list('m', null, $item('lead', 'b'), $item('a', 'c'), $item('b', 'a'), $item('c', 'b'), $item('free'))]],
            'These wait for one another in a circle: m/b waits for m/a waits for m/c waits for m/b',
        ];
        yield 'itself' => [['checklists' => [$list('m', null, $item('a'), $item('b', 'b'))]], 'These wait for one another in a circle: m/b waits for m/b'];
        yield 'a wait for nothing' => [['checklists' => [$list('m', null, $item('a', 'n/x'))]], 'm/a waits for n/x, which is not there.'];
        yield 'a checklist is no item' => [['checklists' => [$list('m', null, $item('a', 'm'))]], 'm/a waits for m, which is not there.'];
        yield 'a join to nothing' => [['checklists' => [$list('m', 'n/x', $item('a'))]], 'm joins after n/x, which is not there.'];
        yield 'joins in a circle' => [
            ['checklists' => [$list('o', 'm/a', $item('a')), $list('m', 'n/a', $item('a')), $list('n', 'm/a', $item('a'))]],
            'These checklists join into each other: m, n',
        ];
        yield 'two items of one key' => [['checklists' => [$list('m', null, $item('a'), $item('a'))]], 'Two items have the key m/a.'];
        yield 'two checklists of one key' => [['checklists' => [$list('m', null), $list('m', null)]], 'Two checklists have the key m.'];
        yield 'never open' => [['open_weekdays' => []], 'open_weekdays: no day of the week is open, so no day can be counted.'];
        yield 'an eighth day' => [['open_weekdays' => [8]], 'open_weekdays.0: write 1 for Monday to 7 for Sunday.'];
        yield 'no such day' => [['start' => '2026-02-30'], 'start: write a day as 2026-11-24.'];
        yield 'half a day' => [['checklists' => [$list('m', null, ['key' => 'a', 'takes' => 0.5])]], 'm/a: takes is a whole number of working days, 0 or more.'];
        yield 'after all years' => [['start' => '9999-12-30', 'checklists' => [$list('m', null, ['key' => 'a', 'takes' => 9])]], 'm/a: its day lies outside the years 1 to 9999.'];
    }

    /**
     * @param array<string, mixed> $question
     *
     * @return array{tasks: list<array{key: string, number: int, waits_for: list<string>, earliest_start: int, earliest_finish: int, latest_start: int, float: int, due: string}>, longest_chain: list<string>, short_by: int}
     */
    private static function merge(array $question): array
    {
        return (new OutlineMerge())->of((new OutlineReader())->read($question));
    }

    /**
     * @param array<string, mixed> $question
     *
     * @return array<string, list<string>> by full key
     */
    private static function waits(array $question): array
    {
        $waits = [];
        foreach ((new OutlineReader())->read($question)->lists as $list) {
            foreach ($list->items as $item) {
                $waits[$item->key] = array_keys($item->waitsFor);
            }
        }

        return $waits;
    }
}
