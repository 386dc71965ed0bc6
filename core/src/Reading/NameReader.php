<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

/**
 * Takes a full name apart. What the person spelled is never respelled: only a name in nothing but capitals, or
 * nothing but small letters, is given capitals at the beginnings. White space and control characters are folded.
 */
final class NameReader
{
    /** Words that begin a family name of several words (common practice in name handling). */
    private const PARTICLES = ['de', 'di', 'da', 'del', 'della', 'van', 'von', 'den', 'der', 'la', 'le', 'ni', 'ní', 'nic', 'mac', 'ó', 'ui', 'uí', 'bin', 'al', 'st', 'st.'];

    /** What may follow a family name and belongs to it (common practice in name handling). */
    private const SUFFIXES = ['jr', 'jr.', 'sr', 'sr.', 'ii', 'iii', 'iv'];

    /** @param string $text a full name, “Orla Fennick” or “Fennick, Orla” */
    public function read(string $text): PersonName
    {
        $text = self::capitals(self::folded($text));
        if (1 === substr_count($text, ',')) {
            [$family, $given] = array_map(trim(...), explode(',', $text));
            if ('' !== $given && '' !== $family) {
                return new PersonName($given, $family);
            }
        }
        $words = '' === $text ? [] : explode(' ', $text);
        $split = \count($words) - 1;
        if ($split > 1 && \in_array(mb_strtolower($words[$split]), self::SUFFIXES, true)) {
            --$split;
        }
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

    /** “ORLA FENNICK-O'NEILL” → “Orla Fennick-O'Neill”; “Orla McBride” stays. */
    private static function capitals(string $text): string
    {
        $letters = (string) preg_replace('/[^\p{L}]/u', '', $text);
        if (mb_strlen($letters) < 3 || ($letters !== mb_strtoupper($letters) && $letters !== mb_strtolower($letters))) {
            return $text;
        }
        $words = array_map(static function (string $word): string {
            if (\in_array($word, self::PARTICLES, true) && !\in_array($word, ['ní', 'ni', 'nic', 'mac', 'ó', 'ui', 'uí', 'st', 'st.'], true)) {
                return $word;
            }
            $word = (string) preg_replace_callback('/(?<![\p{L}])\p{L}/u', static fn (array $m): string => mb_strtoupper($m[0]), $word);

            return (string) preg_replace_callback('/^Mc(\p{L})/u', static fn (array $m): string => 'Mc'.mb_strtoupper($m[1]), $word);
        }, explode(' ', mb_strtolower($text)));

        return implode(' ', $words);
    }

    private static function folded(string $text): string
    {
        return trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $text));
    }
}
