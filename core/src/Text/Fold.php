<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/** Brings words to plain small letters and figures, so that spellings of one thing meet. */
final class Fold
{
    private static ?\Transliterator $plain = null;

    /** “Ní Bhraonáin” → “ni bhraonain”; signs fall away, apostrophes without a blank, all others as one. */
    public static function text(string $text): string
    {
        if (1 !== preg_match('/[^\x00-\x7f]/', $text)) {
            $plain = strtolower($text);
        } else {
            self::$plain ??= \Transliterator::create('Any-Latin; Latin-ASCII; Lower()') ?? throw new \LogicException('the intl extension knows no transliteration');
            $plain = (string) self::$plain->transliterate($text);
        }

        return trim((string) preg_replace(['/[\'`]/', '/[^a-z0-9]+/'], ['', ' '], $plain));
    }

    /** @return list<string> */
    public static function words(string $text): array
    {
        $folded = self::text($text);

        return '' === $folded ? [] : explode(' ', $folded);
    }

    /** How a folded word sounds, by the metaphone of PHP (L. Philips, Computer Language 7, 1990); the word itself where that is empty. */
    public static function sound(string $word): string
    {
        $sound = metaphone($word);

        return '' === $sound ? $word : $sound;
    }
}
