<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Time\WorkingDays;

/** Reads checklists to be merged, as telamon:tasks:merge takes them. */
final class OutlineReader
{
    private const MOST_ITEMS = 20000;
    private const MOST_DAYS = 1000000;

    /**
     * @param mixed $data as decoded from JSON
     *
     * @throws UnreadableOutline
     */
    public function read(mixed $data): Outline
    {
        if (!\is_array($data) || (array_is_list($data) && [] !== $data)) {
            throw new UnreadableOutline('Send one object with start, open_weekdays and checklists.');
        }
        $readyBy = $data['ready_by'] ?? null;

        return new Outline(
            new \DateTimeImmutable(OutlineParts::date($data['start'] ?? null, 'start')),
            null === $readyBy ? null : new \DateTimeImmutable(OutlineParts::date($readyBy, 'ready_by')),
            new WorkingDays(self::weekdays($data), self::closures($data)),
            self::lists($data),
        );
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return non-empty-list<int>
     */
    private static function weekdays(array $data): array
    {
        $days = [];
        foreach (OutlineParts::list($data, 'open_weekdays', null) as $i => $day) {
            $days[] = \is_int($day) && $day >= 1 && $day <= 7 ? $day : throw new UnreadableOutline("open_weekdays.$i: write 1 for Monday to 7 for Sunday.");
        }

        return [] !== $days ? $days : throw new UnreadableOutline('open_weekdays: no day of the week is open, so no day can be counted.');
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<string>
     */
    private static function closures(array $data): array
    {
        $days = [];
        foreach (OutlineParts::list($data, 'closures', []) as $i => $day) {
            $days[] = OutlineParts::date($day, "closures.$i");
        }

        return $days;
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<WorkList>
     */
    private static function lists(array $data): array
    {
        $read = [];
        $lists = [];
        $keys = [];
        foreach (OutlineParts::list($data, 'checklists', null) as $i => $list) {
            $list = OutlineParts::map($list, "checklists.$i");
            $key = OutlineParts::key($list['key'] ?? null, "checklists.$i.key");
            if (isset($lists[$key])) {
                throw new UnreadableOutline("Two checklists have the key $key.");
            }
            $lists[$key] = true;
            $items = [];
            foreach (OutlineParts::list($list, 'items', [], $key) as $j => $item) {
                $items[] = $item = self::item(OutlineParts::isMap($item) ? $item : OutlineParts::map($item, "$key.items.$j"), $key, $j);
                if (isset($keys[$item['key']])) {
                    throw new UnreadableOutline("Two items have the key {$item['key']}.");
                }
                $keys[$item['key']] = true;
            }
            $joins = $list['joins_after'] ?? null;
            $read[] = ['key' => $key, 'joins' => null === $joins ? null : OutlineParts::key($joins, "$key.joins_after"), 'items' => $items];
        }
        if (\count($keys) > self::MOST_ITEMS) {
            throw new UnreadableOutline('At most '.self::MOST_ITEMS.' items can be merged.');
        }

        return array_map(static fn (array $list): WorkList => self::joined($list, $keys), $read);
    }

    /**
     * @param array{key: string, joins: string|null, items: list<array{key: string, takes: int, waits: list<string>, due: OwnDue|null}>} $list
     * @param array<string, true> $keys
     */
    private static function joined(array $list, array $keys): WorkList
    {
        if (null !== $list['joins'] && !isset($keys[$list['joins']])) {
            throw new UnreadableOutline("{$list['key']} joins after {$list['joins']}, which is not there.");
        }
        $items = [];
        foreach ($list['items'] as $item) {
            $waitsFor = [];
            foreach ($item['waits'] as $written) {
                // An item of the same checklist may be called by its own key alone.
                $key = isset($keys[$written]) ? $written : "{$list['key']}/$written";
                if (!isset($keys[$key])) {
                    throw new UnreadableOutline("{$item['key']} waits for $written, which is not there.");
                }
                $waitsFor[$key] ??= $written;
            }
            $items[] = new Work($item['key'], $item['takes'], $waitsFor, $item['due']);
        }

        return new WorkList($list['key'], $list['joins'], $items);
    }

    /**
     * @param array<array-key, mixed> $item
     *
     * @return array{key: string, takes: int, waits: list<string>, due: OwnDue|null}
     */
    private static function item(array $item, string $list, int $i): array
    {
        $own = $item['key'] ?? null;
        $key = OutlineParts::isKey($own) ? "$list/$own" : throw OutlineParts::noKey("$list.items.$i.key");
        $takes = $item['takes'] ?? null;
        if (!\is_int($takes) || $takes < 0 || $takes > self::MOST_DAYS) {
            throw new UnreadableOutline("$key: takes is a whole number of working days, 0 or more.");
        }
        $waits = [];
        foreach (OutlineParts::list($item, 'waits_for', [], $key) as $j => $wait) {
            $waits[] = OutlineParts::isKey($wait) ? $wait : throw OutlineParts::noKey("$key.waits_for.$j");
        }

        return ['key' => $key, 'takes' => $takes, 'waits' => $waits, 'due' => self::due($item['due'] ?? null, $key)];
    }

    private static function due(mixed $due, string $key): ?OwnDue
    {
        if (null === $due) {
            return null;
        }
        $due = OutlineParts::map($due, "$key.due");
        $from = $due['from'] ?? null;
        $days = $due['days'] ?? null;
        $before = $due['before'] ?? false;
        if ('start' !== $from && 'ready_by' !== $from) {
            throw new UnreadableOutline("$key.due.from: write start or ready_by.");
        }
        if (!\is_int($days) || abs($days) > self::MOST_DAYS) {
            throw new UnreadableOutline("$key.due.days: write a whole number of working days.");
        }
        if (!\is_bool($before)) {
            throw new UnreadableOutline("$key.due.before: write true or false.");
        }

        return new OwnDue('ready_by' === $from, $before ? -$days : $days);
    }
}
