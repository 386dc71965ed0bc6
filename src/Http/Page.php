<?php

declare(strict_types=1);

namespace Telamon\Http;

/** One page of a list, and where the next one begins. */
final class Page
{
    public const SIZE = 50;

    /**
     * @template T
     *
     * @param list<T> $found as many as fit and one more, to know whether there is a next page
     * @param callable(T): Cursor $cursor
     *
     * @return array{list<T>, string|null} the page, and the cursor of the next one
     */
    public static function cut(array $found, callable $cursor, int $size = self::SIZE): array
    {
        $page = \array_slice($found, 0, $size);

        return [$page, \count($found) > $size ? $cursor($page[$size - 1])->text() : null];
    }
}
