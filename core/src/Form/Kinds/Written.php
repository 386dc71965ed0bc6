<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;
use Telamon\Core\Text\Pattern;

/** Kinds whose answer is one text. */
abstract class Written extends QuestionKind
{
    public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string
    {
        if (null !== $answer && !\is_string($answer)) {
            return 'Write this as text.';
        }
        $text = trim($answer ?? '');
        if ('' === $text) {
            return $needed ? $this->missing() : null;
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            return 'Some characters could not be read. Type this again.';
        }
        $length = mb_strlen($text);
        if ($length > $question->maxLength) {
            return \sprintf('Shorten this to %s characters. It has %s now.', number_format($question->maxLength), number_format($length));
        }
        if ($length < $question->checks->minLength) {
            return \sprintf('Write at least %s characters. It has %s now.', number_format($question->checks->minLength), number_format($length));
        }

        return $this->wrong($question, $text, $at) ?? ('' === $question->checks->pattern || Pattern::fits($question->checks->pattern, $text) ? null : $question->checks->message);
    }

    public function text(Question $question, mixed $answer): string
    {
        return implode(', ', array_map(fn (string $one): string => $this->told($question, $one), array_filter(\is_array($answer) ? $answer : [$answer], \is_string(...))));
    }

    protected function told(Question $question, string $answer): string
    {
        return $question->labelOf($answer);
    }

    /** What is said where it is needed and was not answered. */
    protected function missing(): string
    {
        return 'This is needed.';
    }

    /** @param string $text trimmed, not empty */
    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return null;
    }
}
