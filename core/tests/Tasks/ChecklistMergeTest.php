<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Tasks;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\CircularChecklist;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Time\WorkingDays;

final class ChecklistMergeTest extends TestCase
{
    public function testPositionsInterleaveBaseAndAddOn(): void
    {
        $tasks = $this->merge([
            new Checklist('Base', [self::item('talk', 10), self::item('agreement', 40)]),
            new Checklist('Repair', [self::item('look', 20), self::item('parts', 70)]),
        ]);
        self::assertSame(['talk', 'look', 'agreement', 'parts'], self::keys($tasks));
        self::assertSame([1, 2, 3, 4], array_map(static fn (PlannedTask $task): int => $task->number, $tasks));
        self::assertSame(['Base', 'Repair', 'Base', 'Repair'], array_map(static fn (PlannedTask $task): string => $task->checklist, $tasks));
    }

    public function testAtOnePositionTheBaseComesFirstAndEachListKeepsItsOrder(): void
    {
        $tasks = $this->merge([
            new Checklist('Base', [self::item('b1', 10), self::item('b2', 10)]),
            new Checklist('Add-on', [self::item('a1', 10), self::item('a2', 10)]),
        ]);
        self::assertSame(['b1', 'b2', 'a1', 'a2'], self::keys($tasks));
    }

    public function testTenAndMoreStandInTheirOrderByNumberNotByName(): void
    {
        $items = array_map(static fn (int $n): ChecklistItem => self::item("step$n", $n), range(1, 12));
        self::assertSame(range(1, 12), array_map(static fn (PlannedTask $task): int => $task->number, $this->merge([new Checklist('Long', $items)])));
    }

    public function testAnItemMovesBehindWhatItWaitsForAndIsNotDueBefore(): void
    {
        $tasks = $this->merge([new Checklist('Base', [
            self::item('first', 10, after: ['last'], days: 1),
            self::item('last', 20, days: 5),
        ])]);
        self::assertSame(['last', 'first'], self::keys($tasks));
        self::assertSame([1], $tasks[1]->waitsFor);
        self::assertSame('2026-12-02', $tasks[1]->due->format('Y-m-d'));
    }

    public function testWhatWaitsForAnItemOfNoListWaitsForNothing(): void
    {
        self::assertSame([], $this->merge([new Checklist('Base', [self::item('a', 1, after: ['elsewhere'])])])[0]->waitsFor);
    }

    public function testDaysCountBackFromTheDayItMustBeReady(): void
    {
        $list = [new Checklist('Base', [new ChecklistItem('order', 'Order', 1, Doer::Lead, -3, DueFrom::ReadyBy)])];
        $tasks = (new ChecklistMerge(self::calendar()))->merge($list, new \DateTimeImmutable('2026-11-25'), new \DateTimeImmutable('2026-12-10'));
        self::assertSame('2026-12-07', $tasks[0]->due->format('Y-m-d'));
        $late = (new ChecklistMerge(self::calendar()))->merge($list, new \DateTimeImmutable('2026-11-25'), new \DateTimeImmutable('2026-11-26'));
        self::assertSame('2026-11-25', $late[0]->due->format('Y-m-d'), 'never before the day of acceptance');
        $none = $this->merge($list);
        self::assertSame('2026-11-30', $none[0]->due->format('Y-m-d'), 'counted on where there is no such day');
    }

    public function testBackFromADayThatIsNotWorkedIsRoundedBack(): void
    {
        $list = [new Checklist('Base', [new ChecklistItem('tune', 'Tune before the concert', 1, Doer::Lead, 0, DueFrom::ReadyBy), new ChecklistItem('move', 'Move it there', 2, Doer::Lead, -1, DueFrom::ReadyBy)])];
        // Sunday 13 December 2026.
        $tasks = (new ChecklistMerge(self::calendar()))->merge($list, new \DateTimeImmutable('2026-11-25'), new \DateTimeImmutable('2026-12-13'));
        self::assertSame(['2026-12-11', '2026-12-10'], array_map(static fn (PlannedTask $task): string => $task->due->format('Y-m-d'), $tasks));
        self::assertSame([false, false], array_column($tasks, 'isLate'));
    }

    public function testWhatCannotBeDoneByThatDayIsSaid(): void
    {
        $list = [new Checklist('Base', [self::item('long', 1, days: 20), new ChecklistItem('tune', 'Tune', 2, Doer::Lead, 0, DueFrom::ReadyBy, ['long'])])];
        $tasks = (new ChecklistMerge(self::calendar()))->merge($list, new \DateTimeImmutable('2026-11-25'), new \DateTimeImmutable('2026-12-04'));
        self::assertSame([false, true], array_column($tasks, 'isLate'));
    }

    public function testACircleIsRefusedByName(): void
    {
        $this->expectException(CircularChecklist::class);
        $this->expectExceptionMessage('Item a, Item b');
        $this->merge([new Checklist('Base', [self::item('a', 1, after: ['b']), self::item('b', 2, after: ['a'])])]);
    }

    /**
     * @param list<Checklist> $lists
     *
     * @return list<PlannedTask>
     */
    private function merge(array $lists): array
    {
        return (new ChecklistMerge(self::calendar()))->merge($lists, new \DateTimeImmutable('2026-11-25'), null);
    }

    private static function calendar(): WorkingDays
    {
        return new WorkingDays([1, 2, 3, 4, 5], []);
    }

    /** @param list<string> $after */
    private static function item(string $key, int $position, array $after = [], int $days = 1): ChecklistItem
    {
        return new ChecklistItem($key, "Item $key", $position, Doer::Coordinator, $days, after: $after);
    }

    /**
     * @param list<PlannedTask> $tasks
     *
     * @return list<string>
     */
    private static function keys(array $tasks): array
    {
        return array_map(static fn (PlannedTask $task): string => $task->item->key, $tasks);
    }
}
