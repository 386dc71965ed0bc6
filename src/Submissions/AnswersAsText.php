<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\Hidden;
use Telamon\Core\Form\Question;

/** What was answered, for a letter: each question above its answer, in the order asked. */
final class AnswersAsText
{
    /** @param \Closure(Question): bool $tells whether a question may stand in it */
    public static function of(Submission $submission, FormDefinition $form, \Closure $tells): string
    {
        $told = [];
        foreach ($form->questions() as $question) {
            $text = $question->type instanceof Hidden ? '' : $question->type->text($question, $submission->answers[$question->key] ?? '');
            if ('' !== trim($text) && $tells($question)) {
                $told[] = "{$question->wording}\n$text";
            }
        }

        return implode("\n\n", $told);
    }
}
