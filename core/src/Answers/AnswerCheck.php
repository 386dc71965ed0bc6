<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\Asking;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\Lines;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Violation;

/** Says what is wrong with a set of answers, in words that tell the person what to do. */
final readonly class AnswerCheck
{
    public function __construct(private Readers $readers)
    {
    }

    /**
     * @param array<array-key, mixed> $answers by question key; files are a list of upload ids
     * @param \DateTimeImmutable $today the day of sending, in the business's time zone
     *
     * @param bool $staff whether what only staff are asked may be answered
     * @param bool $whole whether what is needed has to be there
     *
     * @return list<Violation> empty when everything can be kept
     */
    public function check(FormDefinition $form, array $answers, \DateTimeImmutable $today, bool $staff = false, bool $whole = true): array
    {
        $violations = [];
        foreach ($answers as $key => $answer) {
            $question = $form->question((string) $key);
            if (null === $question || !$question->type->asks() || ($question->staffOnly && !$staff)) {
                $violations[] = new Violation(mb_substr((string) $key, 0, 80), 'This form does not ask that.');
            }
        }
        $day = $today->format('Y-m-d');
        $at = new Asking($this->readers, $form->dayOrder, $today);
        $seen = [];
        foreach ($form->shown($answers, $day, $staff) as $question) {
            $needed = $whole && ($question->required || true === $question->requiredIf?->holds(new Facts($seen, $day, $form->dayOrder)));
            $answer = $answers[$question->key] ?? null;
            $fault = $question->type->fault($question, $answer, $needed, $at);
            array_push($violations, ...(null === $fault ? $this->lines($question, $answer, $at) : [new Violation($question->key, $fault)]));
            $seen[$question->key] = $question->type->meant($question, $answer);
        }

        return $violations;
    }

    /** @return list<Violation> what is wrong in the lines of a table */
    private function lines(Question $question, mixed $answer, Asking $at): array
    {
        $violations = [];
        foreach ($question->type instanceof Lines && \is_array($answer) ? array_values($answer) : [] as $i => $line) {
            $line = \is_array($line) ? $line : [];
            if ([] !== array_diff(array_map(strval(...), array_keys($line)), array_column($question->lines, 'key'))) {
                $violations[] = new Violation("{$question->key}.$i", 'This form does not ask that.');
                continue;
            }
            foreach ($question->lines as $column) {
                $fault = $column->type->fault($column, $line[$column->key] ?? null, $column->required, $at);
                if (null !== $fault) {
                    $violations[] = new Violation("{$question->key}.$i.{$column->key}", $fault);
                }
            }
        }

        return $violations;
    }
}
