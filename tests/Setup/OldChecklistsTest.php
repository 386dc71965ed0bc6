<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistMerge;
use Telamon\Core\Checklists\ChecklistReader;
use Telamon\Core\Checklists\PlannedTask;
use Telamon\Core\Time\WorkingDays;
use Telamon\Tests\Support\OldInstallation;

/** An installation of before: its checklists had places that were numbers, its projects no day on which they came to their stage. */
final class OldChecklistsTest extends OldInstallation
{
    public function testWhatWasThereIsInTheNewFormAndInItsOrder(): void
    {
        $db = $this->installed('20261127060000');
        $list = $db->prepare('INSERT INTO checklist_template (id, name, is_base, items) VALUES (?, ?, ?, ?)');
        $item = static fn (string $key, int $position, int $days, array $after = [], string $from = 'accepted', string $doer = 'coordinator'): array => [
            'key' => $key,
            'name' => ucfirst($key),
            'position' => $position,
            'doer' => $doer,
            'days' => $days,
            'from' => $from,
            'after' => $after,
        ];
        $list->execute(['b', 'Onboarding', 1, json_encode([$item('talk', 10, 1), $item('deposit', 60, 5, ['agreement']), $item('agreement', 40, 3, ['talk'])])]);
        $list->execute(['r', 'Repair & more', 0, json_encode([$item('look', 20, 3, ['talk'], doer: 'lead'), $item('parts', 70, -10, ['deposit'], 'ready-by', 'lead')])]);
        $list->execute(['s', 'Repair & more', 0, json_encode([])]);
        $this->bringUp();

        $found = $db->query('SELECT code, joins_after, items FROM checklist_template ORDER BY is_base DESC, id');
        /** @var list<array{code: string, joins_after: string, items: string}> $rows */
        $rows = false === $found ? [] : $found->fetchAll(\PDO::FETCH_ASSOC);
        self::assertSame(['onboarding', 'repair-more', 'repair-more-2'], array_column($rows, 'code'));
        self::assertSame(['', 'onboarding/talk', ''], array_column($rows, 'joins_after'));
        $lists = array_map(static function (array $row): Checklist {
            $items = json_decode($row['items'], true);

            return (new ChecklistReader())->read(['key' => $row['code'], 'name' => 'List', 'joinsAfter' => $row['joins_after'], 'items' => $items]);
        }, $rows);
        $merged = (new ChecklistMerge(new WorkingDays([1, 2, 3, 4, 5], [])))->merge(
            $lists,
            new Anchors(new \DateTimeImmutable('2026-11-24'), new \DateTimeImmutable('2026-12-18')),
        );
        self::assertSame([
            ['onboarding/talk', '2026-11-25'], ['repair-more/look', '2026-11-27'], ['onboarding/agreement', '2026-11-27'],
            ['onboarding/deposit', '2026-12-01'], ['repair-more/parts', '2026-12-04'],
        ], array_map(static fn (PlannedTask $task): array => [$task->key, $task->due->format('Y-m-d')], $merged->tasks));
    }
}
