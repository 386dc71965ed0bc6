<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Reads a project in mid-life, as telamon:tasks:replan takes it. */
final readonly class StandingReader
{
    private const BY_HAND = ['due', 'waits_for', 'takes'];
    private const MOST_DAYS = 1_000_000;

    public function __construct(private OutlineReader $outlines = new OutlineReader())
    {
    }

    /**
     * @param mixed $data as decoded from JSON
     *
     * @throws UnreadableOutline
     */
    public function read(mixed $data): Standing
    {
        $outline = $this->outlines->read($data);
        $data = OutlineParts::map($data, 'the question');
        $keys = [];
        $lists = [];
        foreach ($outline->lists as $list) {
            $lists[$list->key] = true;
            foreach ($list->items as $item) {
                $keys[$item->key] = $list->key;
            }
        }
        $join = [];
        foreach (OutlineParts::list($data, 'join', []) as $i => $key) {
            $join[] = $key = OutlineParts::key($key, "join.$i");
            isset($lists[$key]) ?: throw new UnreadableOutline("join.$i: $key is not among the checklists.");
        }
        $tasks = [];
        foreach (OutlineParts::list($data, 'tasks', []) as $i => $task) {
            $task = self::task(OutlineParts::map($task, "tasks.$i"), "tasks.$i", $keys);
            $tasks[$task->key] = isset($tasks[$task->key]) ? throw new UnreadableOutline("tasks.$i: {$task->key} stands there twice.") : $task;
        }

        return new Standing($outline, new \DateTimeImmutable(OutlineParts::date($data['today'] ?? null, 'today')), $join, $tasks);
    }

    /**
     * @param array<array-key, mixed> $task
     * @param array<string, string> $keys list by full key of its item
     */
    private static function task(array $task, string $at, array $keys): StandingTask
    {
        $key = OutlineParts::key($task['key'] ?? null, "$at.key");
        $list = $keys[$key] ?? throw new UnreadableOutline("$at.key: $key is in none of the checklists.");
        $state = $task['state'] ?? null;
        if ('open' !== $state && 'done' !== $state && 'removed' !== $state) {
            throw new UnreadableOutline("$key: state is open, done or removed.");
        }
        $byHand = [];
        foreach (OutlineParts::list($task, 'by_hand', [], $key) as $one) {
            $byHand[] = \in_array($one, self::BY_HAND, true) ? $one : throw new UnreadableOutline("$key: by_hand names due, waits_for and takes.");
        }
        $due = $task['due'] ?? null;
        $takes = null;
        if (\in_array('takes', $byHand, true)) {
            $takes = $task['takes'] ?? null;
            if (!\is_int($takes) || $takes < 0 || $takes > self::MOST_DAYS) {
                throw new UnreadableOutline("$key: takes is a whole number of working days, 0 or more.");
            }
        }

        return new StandingTask(
            $key,
            $state,
            null === $due ? null : OutlineParts::date($due, "$key.due"),
            \in_array('due', $byHand, true),
            \in_array('waits_for', $byHand, true) ? self::waits($task, $key, $list, $keys) : null,
            $takes,
        );
    }

    /**
     * @param array<array-key, mixed> $task
     * @param array<string, string> $keys list by full key of its item
     *
     * @return list<string> full keys, of items that the checklists have
     */
    private static function waits(array $task, string $key, string $list, array $keys): array
    {
        $waits = [];
        foreach (OutlineParts::list($task, 'waits_for', [], $key) as $i => $written) {
            $written = OutlineParts::key($written, "$key.waits_for.$i");
            $full = isset($keys[$written]) ? $written : "$list/$written";
            if (isset($keys[$full])) {
                $waits[$full] = $full;
            }
        }

        return array_values($waits);
    }
}
