<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** Keeps a value that is written from right to left from turning the sentence around it. Unicode Standard Annex 9, sections 2.4 and 6.3. */
final class Bidi
{
    private const FIRST_STRONG_ISOLATE = "\u{2068}";
    private const POP_ISOLATE = "\u{2069}";

    public static function apart(string $value): string
    {
        // Marks that somebody wrote into a value must not reach beyond it.
        $value = (string) preg_replace('/[\x{202A}-\x{202E}\x{2066}-\x{2069}]/u', '', $value);

        return self::turns($value) ? self::FIRST_STRONG_ISOLATE.$value.self::POP_ISOLATE : $value;
    }

    public static function turns(string $value): bool
    {
        return 1 === preg_match('/[\p{Hebrew}\p{Arabic}\p{Syriac}\p{Thaana}\p{Nko}]/u', $value);
    }
}
