<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

/**
 * Takes a full name apart. What the person wrote is never respelled; white space and control
 * characters are folded.
 */
final class NameReader
{
    /** Words that begin a family name of several words (common practice in name handling). */
    private const PARTICLES = ['de', 'di', 'da', 'del', 'della', 'van', 'von', 'den', 'der', 'la', 'le', 'ni', 'ní', 'nic', 'mac', 'ó', 'ui', 'uí', 'bin', 'al', 'st', 'st.'];

    /** @param string $text a full name, “Orla Fennick” or “Fennick, Orla” */
    public function read(string $text): PersonName
    {
        $text = self::folded($text);
        if (1 === substr_count($text, ',')) {
            [$family, $given] = array_map(trim(...), explode(',', $text));
            if ('' !== $given && '' !== $family) {
                return new PersonName($given, $family);
            }
        }
        $words = '' === $text ? [] : explode(' ', $text);
        $split = \count($words) - 1;
        for ($i = 1; $i < \count($words) - 1; ++$i) {
            if (\in_array(mb_strtolower($words[$i]), self::PARTICLES, true)) {
                $split = $i;
                break;
            }
        }
        if ($split < 1) {
            return new PersonName($text, '');
        }

        return new PersonName(implode(' ', \array_slice($words, 0, $split)), implode(' ', \array_slice($words, $split)));
    }

    private static function folded(string $text): string
    {
        return trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $text));
    }
}
