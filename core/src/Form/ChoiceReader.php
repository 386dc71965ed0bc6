<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Text\Fold;

/**
 * Finds which of the offered answers is meant: by its value, its label, the form's own other words for it, or a table
 * of common words. What fits two of them is none.
 */
final class ChoiceReader
{
    /** Words that tell no answer from another. */
    private const FILLERS = ['it', 'please', 'the', 'a', 'an', 'my', 'our', 'to', 'me', 'just'];

    /** @var array<string, string>|null meaning by folded word */
    private static ?array $meanings = null;

    /** @return string|null the value of the option; null where none is meant */
    public static function read(Question $question, string $text): ?string
    {
        $text = trim($text);
        if ($question->offers($text)) {
            return $text;
        }
        $folded = Fold::text($text);
        if ('' === $folded) {
            return null;
        }
        // As it stands first, then without the words that say nothing of their own.
        foreach (array_unique([$folded, self::gist($folded)]) as $said) {
            foreach ([self::byWords($question, $said), self::byMeaning($question, $said)] as $found) {
                if ([] !== $found) {
                    return 1 === \count($found) ? $found[0] : null;
                }
            }
        }

        return null;
    }

    /** @return 'yes'|'no'|null what is meant where yes or no is asked; null for neither */
    public static function yesNo(string $text): ?string
    {
        $meant = self::meaning(Fold::text(trim($text)));

        return 'yes' === $meant || 'no' === $meant ? $meant : null;
    }

    /** @return list<string> values of the options that are called so */
    private static function byWords(Question $question, string $folded): array
    {
        $found = [];
        foreach ($question->options as $option) {
            $words = array_map(Fold::text(...), [$option->value, $option->label, ...$option->also]);
            if (\in_array($folded, [...$words, ...array_map(self::gist(...), $words)], true)) {
                $found[] = $option->value;
            }
        }

        return $found;
    }

    /** @return list<string> */
    private static function byMeaning(Question $question, string $folded): array
    {
        $meant = self::meaning($folded);
        $found = [];
        foreach (null === $meant ? [] : $question->options as $option) {
            foreach ([$option->value, $option->label, ...$option->also] as $word) {
                $word = Fold::text($word);
                if ((self::meaning($word) ?? self::meaning(self::gist($word))) === $meant) {
                    $found[] = $option->value;
                    break;
                }
            }
        }

        return $found;
    }

    /** “mend it please” → “mend”; the words themselves where nothing else is left. */
    private static function gist(string $folded): string
    {
        $left = array_diff(explode(' ', $folded), self::FILLERS);

        return [] === $left ? $folded : implode(' ', $left);
    }

    private static function meaning(string $folded): ?string
    {
        if (null === self::$meanings) {
            self::$meanings = [];
            /** @var array<string, list<string>> $table */
            $table = require __DIR__.'/../../resources/choice-words.php';
            foreach ($table as $meaning => $words) {
                foreach ($words as $word) {
                    self::$meanings[$word] = $meaning;
                }
            }
        }

        return self::$meanings[$folded] ?? null;
    }
}
