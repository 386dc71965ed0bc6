<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Matching\Fold;

/**
 * Finds which of the offered answers is meant: by its value, its label, the form's own other words for it, or a table
 * of common words. What fits two of them is none.
 */
final class ChoiceReader
{
    /** @var array<string, string>|null meaning by folded word */
    private static ?array $meanings = null;

    /** @return string|null the value of the option; “yes” or “no” where that is asked; null where none is meant */
    public static function read(Question $question, string $text): ?string
    {
        $text = trim($text);
        if (QuestionType::YesNo === $question->type || QuestionType::Consent === $question->type) {
            $meant = self::meaning(Fold::text($text));

            return \in_array($meant, ['yes', 'no'], true) ? $meant : null;
        }
        if ($question->offers($text)) {
            return $text;
        }
        $folded = Fold::text($text);
        if ('' === $folded) {
            return null;
        }
        foreach ([self::byWords($question, $folded), self::byMeaning($question, $folded)] as $found) {
            if ([] !== $found) {
                return 1 === \count($found) ? $found[0] : null;
            }
        }

        return null;
    }

    /** @return list<string> values of the options that are called so */
    private static function byWords(Question $question, string $folded): array
    {
        $found = [];
        foreach ($question->options as $option) {
            if (\in_array($folded, array_map(Fold::text(...), [$option->value, $option->label, ...$option->also]), true)) {
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
                if (self::meaning(Fold::text($word)) === $meant) {
                    $found[] = $option->value;
                    break;
                }
            }
        }

        return $found;
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
