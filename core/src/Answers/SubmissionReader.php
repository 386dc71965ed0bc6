<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\ChoiceReader;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;
use Telamon\Core\Reading\AmountReader;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;

/** Reads answers as received into typed values. Pure: the same answers give the same readings. */
final readonly class SubmissionReader
{
    public function __construct(
        private EmailReader $emails,
        private PhoneReader $phones,
        private DayReader $days,
        private AmountReader $amounts = new AmountReader(),
    ) {
    }

    /** @param array<string, mixed> $answers by question key */
    public function read(FormDefinition $form, array $answers): Readings
    {
        $readings = [];
        foreach ($form->questions() as $question) {
            $answer = $answers[$question->key] ?? null;
            $reading = $this->one($question, $answer, $form->dayOrder);
            if (null !== $reading) {
                array_push($readings, $reading, ...$this->lines($question, $answer, $form->dayOrder));
            }
        }

        return new Readings($readings);
    }

    /**
     * What the lines of a table say to fields of their own; the table as a whole has its reading besides.
     *
     * @return list<Reading>
     */
    private function lines(Question $question, mixed $answer, DayOrder $order): array
    {
        $readings = [];
        foreach (QuestionType::Lines === $question->type && \is_array($answer) ? array_values($answer) : [] as $i => $line) {
            foreach ($question->lines as $column) {
                $reading = null === $column->destination || !\is_array($line) ? null : $this->one($column, $line[$column->key] ?? null, $order, $i + 1);
                if (null !== $reading) {
                    $readings[] = $reading;
                }
            }
        }

        return $readings;
    }

    private function one(Question $question, mixed $answer, DayOrder $order, int $line = 0): ?Reading
    {
        $text = trim(AnswerText::of($question, $answer));
        if ('' === $text) {
            return null;
        }
        if (\is_array($answer)) {
            return new Reading($question, QuestionType::Files === $question->type ? '' : $text, self::several($question, $answer, $text), [], $line);
        }
        $written = \is_string($answer) ? trim($answer) : '';

        return match ($question->type) {
            QuestionType::Email => new Reading($question, $text, $this->emails->read($written), [], $line),
            QuestionType::Phone => new Reading($question, $text, $this->phones->read($written), [], $line),
            QuestionType::Day => $this->day($question, $text, $order, $line),
            QuestionType::Money, QuestionType::Number => $this->amount($question, $text, $line),
            QuestionType::OneOf, QuestionType::YesNo => $this->choice($question, $text, $written, $line),
            default => new Reading($question, $text, $written, [], $line),
        };
    }

    /**
     * @param array<array-key, mixed> $answer
     *
     * @return string|list<string>
     */
    private static function several(Question $question, array $answer, string $text): string|array
    {
        return match ($question->type) {
            QuestionType::Files => array_values(array_filter($answer, \is_string(...))),
            QuestionType::AnyOf => array_map(static fn (string $one): string => ChoiceReader::read($question, $one) ?? $one, array_values(array_filter($answer, \is_string(...)))),
            QuestionType::NameParts => array_map(static fn (string $part): string => \is_string($answer[$part] ?? null) ? trim($answer[$part]) : '', ['given', 'family']),
            default => $text,
        };
    }

    /** What cannot be read as an amount keeps its text, and has no value. */
    private function amount(Question $question, string $text, int $line): Reading
    {
        $amount = $this->amounts->read($text);
        $possible = null === $amount ? [] : array_values(array_filter([$amount->value, $amount->upTo], static fn (string $value): bool => '' !== $value));

        return new Reading($question, $text, $amount->value ?? (null === Facts::asNumber($text) ? null : $text), $possible, $line, true === $amount?->isAbout);
    }

    private function choice(Question $question, string $text, string $written, int $line): Reading
    {
        $value = ChoiceReader::read($question, $written);
        if (null === $value) {
            return new Reading($question, $text, $written, [], $line);
        }

        return new Reading($question, AnswerText::of($question, $value), $value, [], $line);
    }

    private function day(Question $question, string $text, DayOrder $order, int $line): Reading
    {
        $days = array_map(static fn (\DateTimeImmutable $d): string => $d->format('Y-m-d'), $this->days->read($text, $order));

        return new Reading($question, $text, 1 === \count($days) ? $days[0] : null, $days, $line);
    }
}
