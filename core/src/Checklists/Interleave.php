<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/**
 * Where the items of a checklist stand among what a project has: what is not of the list keeps its order, whoever put it
 * so; those of the list that are there fill the places that they had, in the list's order; new ones stand behind the one
 * that the list has before them.
 */
final class Interleave
{
    /**
     * @param list<string> $current full keys as they stand
     * @param list<string> $wanted full keys of the list, in its order
     * @param string|null $after full key behind which a list stands of which nothing is there yet; the end where null, or not there
     *
     * @return list<string> each once
     */
    public static function of(array $current, array $wanted, ?string $after): array
    {
        $isThere = array_fill_keys($current, true);
        $old = array_values(array_filter($wanted, static fn (string $key): bool => isset($isThere[$key])));
        $isOld = array_fill_keys($old, true);
        $new = [];
        $head = [];
        $last = null;
        foreach ($wanted as $key) {
            if (isset($isThere[$key])) {
                $last = $key;
            } elseif (null === $last) {
                $head[] = $key;
            } else {
                $new[$last][] = $key;
            }
        }
        if ([] === $old) {
            $at = null === $after ? false : array_search($after, $current, true);
            array_splice($current, false === $at ? \count($current) : $at + 1, 0, $head);

            return $current;
        }
        $places = [];
        $next = 0;
        foreach ($current as $key) {
            if (!isset($isOld[$key])) {
                $places[] = $key;
                continue;
            }
            array_push($places, ...(0 === $next ? $head : []), ...[$old[$next], ...$new[$old[$next]] ?? []]);
            ++$next;
        }

        return $places;
    }
}
