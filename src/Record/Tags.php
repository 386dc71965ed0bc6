<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Words that records are sorted by, each once. */
final class Tags
{
    private const LONGEST = 60;

    /**
     * @param list<string> $tags those there are
     * @param list<string> $more
     *
     * @return list<string>
     */
    public static function with(array $tags, array $more): array
    {
        return array_values(array_unique([...$tags, ...array_map(static fn (string $tag): string => mb_substr(trim($tag), 0, self::LONGEST), $more)]));
    }
}
