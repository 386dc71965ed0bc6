<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/**
 * Arabic letters in the forms in which they join with their neighbours. The forms are read from the names of the characters
 * of the block Arabic Presentation Forms-B, as the intl extension knows them (Unicode Character Database).
 */
final class ArabicForms
{
    /** @var array<string, array<string, string>>|null form by its name, by letter (or two, for ligatures) */
    private static ?array $forms = null;

    public static function of(string $text): string
    {
        if (1 !== preg_match('/\p{Arabic}/u', $text)) {
            return $text;
        }
        $forms = self::$forms ??= self::read();
        $letters = mb_str_split($text);
        $shaped = '';
        $joined = false;
        for ($i = 0; $i < \count($letters); ++$i) {
            $letter = $letters[$i];
            if (1 === preg_match('/\p{Mn}/u', $letter)) {
                $shaped .= $letter;
                continue;
            }
            $pair = $letter.($letters[$i + 1] ?? '');
            if (isset($forms[$pair])) {
                $letter = $pair;
                ++$i;
            }
            $own = $forms[$letter] ?? [];
            $joinsOn = isset($own['INITIAL']) && self::canFollow($letters, $i + 1, $forms);
            $shaped .= match (true) {
                $joined && $joinsOn => $own['MEDIAL'] ?? $letter,
                $joined => $own['FINAL'] ?? $letter,
                $joinsOn => $own['INITIAL'],
                default => $own['ISOLATED'] ?? $letter,
            };
            $joined = $joinsOn;
        }

        return $shaped;
    }

    /**
     * @param list<string> $letters
     * @param array<string, array<string, string>> $forms
     */
    private static function canFollow(array $letters, int $at, array $forms): bool
    {
        while (1 === preg_match('/\p{Mn}/u', $letters[$at] ?? '')) {
            ++$at;
        }

        return isset($forms[$letters[$at] ?? '']['FINAL']);
    }

    /** @return array<string, array<string, string>> */
    private static function read(): array
    {
        $forms = [];
        for ($code = 0xFE80; $code <= 0xFEFC; ++$code) {
            $letter = mb_chr($code, 'UTF-8');
            if (1 === preg_match('/ (ISOLATED|FINAL|INITIAL|MEDIAL) FORM$/', \IntlChar::charName($code), $found)) {
                $forms[(string) \Normalizer::normalize($letter, \Normalizer::FORM_KC)][$found[1]] = $letter;
            }
        }

        return $forms;
    }
}
