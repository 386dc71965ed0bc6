<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/**
 * The order in which items of several checklists stand, before anything waits. Lists that join nothing stand one after
 * the other; the items of one that joins stand directly after the item it names, several there in their own order.
 */
final class Places
{
    /**
     * @param list<WorkList> $lists every join names an item of them
     *
     * @return list<Work>
     *
     * @throws UnreadableOutline for checklists that join into each other
     */
    public function of(array $lists): array
    {
        $joining = [];
        $open = [];
        foreach (array_reverse($lists) as $list) {
            if (null === $list->joins) {
                $open[] = [$list, 0];
            } else {
                $joining[$list->joins][] = [$list, 0];
            }
        }
        $placed = [];
        // What is begun lies below what joins it: a stack of our own, as a thousand joins deep is no reason to fail.
        while ([] !== $open) {
            [$list, $next] = array_pop($open);
            if (!isset($list->items[$next])) {
                continue;
            }
            $placed[] = $item = $list->items[$next];
            array_push($open, [$list, $next + 1], ...$joining[$item->key] ?? []);
        }
        if (\count($placed) < array_sum(array_map(static fn (WorkList $list): int => \count($list->items), $lists))) {
            throw new UnreadableOutline('These checklists join into each other: '.implode(', ', self::circle($lists)));
        }

        return $placed;
    }

    /**
     * @param list<WorkList> $lists
     *
     * @return list<string>
     */
    private static function circle(array $lists): array
    {
        $owner = [];
        foreach ($lists as $list) {
            foreach ($list->items as $item) {
                $owner[$item->key] = $list;
            }
        }
        foreach ($lists as $list) {
            $path = [];
            $at = $list;
            while (null !== $at && !isset($path[$at->key])) {
                $path[$at->key] = true;
                $at = null === $at->joins ? null : $owner[$at->joins];
            }
            if (null !== $at) {
                $keys = array_map(strval(...), array_keys($path));

                return \array_slice($keys, (int) array_search($at->key, $keys, true));
            }
        }

        return [];
    }
}
