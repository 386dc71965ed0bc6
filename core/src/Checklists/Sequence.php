<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Puts work in order: next comes always the first in place of those that wait for nothing any more. */
final class Sequence
{
    /**
     * @param list<Work> $places as they stand before anything waits; each wait names one of them
     *
     * @return list<Work>
     *
     * @throws WorkInCircle
     */
    public function of(array $places): array
    {
        $at = [];
        foreach ($places as $place => $work) {
            $at[$work->key] = $place;
        }
        $waits = [];
        $followers = [];
        /** @var \SplMinHeap<int> $free */
        $free = new \SplMinHeap();
        foreach ($places as $place => $work) {
            $waits[$place] = \count($work->waitsFor);
            if (0 === $waits[$place]) {
                $free->insert($place);
            }
            foreach (array_keys($work->waitsFor) as $key) {
                $followers[$at[$key]][] = $place;
            }
        }
        $order = [];
        while (!$free->isEmpty()) {
            $place = $free->extract();
            $order[] = $places[$place];
            unset($waits[$place]);
            foreach ($followers[$place] ?? [] as $follower) {
                if (0 === --$waits[$follower]) {
                    $free->insert($follower);
                }
            }
        }

        return [] === $waits ? $order : throw new WorkInCircle(self::circle($places, $at, $waits));
    }

    /**
     * Whatever was not placed waits for something else that was not: following that leads into a circle.
     *
     * @param list<Work> $places
     * @param array<array-key, int> $at
     * @param non-empty-array<int, int> $left by place
     *
     * @return non-empty-list<string>
     */
    private static function circle(array $places, array $at, array $left): array
    {
        $path = [];
        $place = array_key_first($left);
        while (!isset($path[$place])) {
            $path[$place] = $places[$place]->key;
            foreach (array_keys($places[$place]->waitsFor) as $key) {
                if (isset($left[$at[$key]])) {
                    $place = $at[$key];
                    break;
                }
            }
        }
        $keys = array_values($path);
        $circle = \array_slice($keys, (int) array_search($path[$place], $keys, true));

        return [] === $circle ? [$path[$place]] : $circle;
    }
}
