<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Makes the key that something is known by for ever out of what it is called now. */
final class FreeKey
{
    private const LONGEST = 36;

    /**
     * @param list<string> $taken
     *
     * @return string letters, figures and low lines, beginning with a letter, not taken
     */
    public static function of(string $label, array $taken): string
    {
        $plain = trim((string) preg_replace('/[^a-z0-9]+/', '_', strtolower((string) transliterator_transliterate('Any-Latin; Latin-ASCII', $label))), '_');
        $base = substr(1 === preg_match('/^[a-z]/', $plain) ? $plain : "field_$plain", 0, self::LONGEST);
        $key = $base;
        for ($i = 2; \in_array($key, $taken, true); ++$i) {
            $key = "{$base}_$i";
        }

        return $key;
    }
}
