<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use Telamon\Core\Form\DayOrder;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;

/** Reads answers as received into typed values. Pure: the same answers give the same readings. */
final readonly class SubmissionReader
{
    public function __construct(
        private EmailReader $emails,
        private PhoneReader $phones,
        private DayReader $days,
    ) {
    }

    /** @param array<string, mixed> $answers by question key */
    public function read(FormDefinition $form, array $answers): Readings
    {
        $readings = [];
        foreach ($form->questions() as $question) {
            $reading = $this->one($question, $answers[$question->key] ?? null, $form->dayOrder);
            if (null !== $reading) {
                $readings[] = $reading;
            }
        }

        return new Readings($readings);
    }

    private function one(Question $question, mixed $answer, DayOrder $order): ?Reading
    {
        if (QuestionType::Files === $question->type) {
            $ids = \is_array($answer) ? array_values(array_filter($answer, \is_string(...))) : [];

            return [] === $ids ? null : new Reading($question, '', $ids);
        }
        if (QuestionType::AnyOf === $question->type) {
            $chosen = \is_array($answer) ? array_values(array_filter($answer, \is_string(...))) : [];

            return [] === $chosen ? null : new Reading($question, implode(', ', array_map($question->labelOf(...), $chosen)), $chosen);
        }
        $text = \is_string($answer) ? trim($answer) : '';
        if ('' === $text) {
            return null;
        }

        return match ($question->type) {
            QuestionType::Email => new Reading($question, $text, $this->emails->read($text)),
            QuestionType::Phone => new Reading($question, $text, $this->phones->read($text)),
            QuestionType::Day => $this->day($question, $text, $order),
            QuestionType::OneOf => new Reading($question, $question->labelOf($text), $text),
            default => new Reading($question, $text, $text),
        };
    }

    private function day(Question $question, string $text, DayOrder $order): Reading
    {
        $days = array_map(static fn (\DateTimeImmutable $d): string => $d->format('Y-m-d'), $this->days->read($text, $order));

        return new Reading($question, $text, 1 === \count($days) ? $days[0] : null, $days);
    }
}
