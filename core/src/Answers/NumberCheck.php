<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Reading\AmountReader;

/** Says what is wrong with an answer in figures. */
final class NumberCheck
{
    /** @param string $text trimmed, not empty */
    public static function fault(Question $question, string $text): ?string
    {
        $written = \in_array($question->type, [QuestionType::Money, QuestionType::Number], true) ? (new AmountReader())->read($text)?->value : null;
        $number = Facts::asNumber($written ?? $text);
        if (null === $number) {
            return 'Write it in figures, like '.(QuestionType::Money === $question->type ? '120.00' : '12').'.';
        }
        [$min, $max] = match ($question->type) {
            QuestionType::Scale => ['0', '10'],
            QuestionType::Rating => ['1', '5'],
            default => [$question->checks->min, $question->checks->max],
        };
        $whole = QuestionType::Scale === $question->type || QuestionType::Rating === $question->type;
        if ($whole && !$number->isEqualTo($number->toScale(0, \Brick\Math\RoundingMode::Down))) {
            return 'Choose a whole number.';
        }
        [$least, $most] = [Facts::asNumber($min), Facts::asNumber($max)];
        if (null !== $least && $number->isLessThan($least)) {
            return "Write $min or more.";
        }

        return null !== $most && $number->isGreaterThan($most) ? "Write $max or less." : null;
    }
}
