<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** The languages that replies are read in. */
final class Tables
{
    /** @return list<Phrases> the first is taken where nothing tells the language */
    public static function all(): array
    {
        return [English::phrases(), German::phrases(), French::phrases()];
    }
}
