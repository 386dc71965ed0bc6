<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\ChoiceReader;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Form\Violation;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Text\Pattern;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;

/** Says what is wrong with a set of answers, in words that tell the person what to do. */
final readonly class AnswerCheck
{
    private DayCheck $days;
    private PartsCheck $parts;

    public function __construct(
        private EmailReader $emails,
        private PhoneReader $phones,
        DayReader $days,
    ) {
        $this->days = new DayCheck($days);
        $this->parts = new PartsCheck($this->days);
    }

    /**
     * @param array<array-key, mixed> $answers by question key; files are a list of upload ids
     * @param \DateTimeImmutable $today the day of sending, in the business's time zone
     *
     * @return list<Violation> empty when everything can be kept
     */
    public function check(FormDefinition $form, array $answers, \DateTimeImmutable $today, bool $staff = false): array
    {
        $violations = [];
        foreach ($answers as $key => $answer) {
            $question = $form->question((string) $key);
            if (null === $question || !$question->type->asks() || ($question->staffOnly && !$staff)) {
                $violations[] = new Violation(mb_substr((string) $key, 0, 80), 'This form does not ask that.');
            }
        }
        $day = $today->format('Y-m-d');
        $seen = [];
        foreach ($form->shown($answers, $day, $staff) as $question) {
            $required = $question->required || true === $question->requiredIf?->holds(new Facts($seen, $day, $form->dayOrder));
            $answer = $answers[$question->key] ?? null;
            array_push($violations, ...(QuestionType::Lines === $question->type
                ? $this->linesFaults($question, $answer, $required, $form->dayOrder, $today)
                : $this->one($question, $question->key, $answer, $required, $form->dayOrder, $today)));
            $seen[$question->key] = FormDefinition::meant($question, $answer);
        }

        return $violations;
    }

    /** @return list<Violation> */
    private function one(Question $question, string $path, mixed $answer, bool $required, DayOrder $order, \DateTimeImmutable $today): array
    {
        $message = $this->fault($question, $answer, $required, $order, $today);

        return null === $message ? [] : [new Violation($path, $message)];
    }

    /** @return list<Violation> */
    private function linesFaults(Question $question, mixed $answer, bool $required, DayOrder $order, \DateTimeImmutable $today): array
    {
        $lines = $answer ?? [];
        if (!\is_array($lines) || !array_is_list($lines) || \count($lines) !== \count(array_filter($lines, \is_array(...)))) {
            return [new Violation($question->key, 'Send the lines as a list of answers by column.')];
        }
        if (\count($lines) > $question->maxLines) {
            return [new Violation($question->key, "At most {$question->maxLines} lines fit here. Take some out.")];
        }
        $violations = [] === $lines && $required ? [new Violation($question->key, 'Add at least one line.')] : [];
        foreach ($lines as $i => $line) {
            $known = array_column($question->lines, 'key');
            if ([] !== array_diff(array_map(strval(...), array_keys((array) $line)), $known)) {
                $violations[] = new Violation("{$question->key}.$i", 'This form does not ask that.');
                continue;
            }
            foreach ($question->lines as $column) {
                array_push($violations, ...$this->one($column, "{$question->key}.$i.{$column->key}", $line[$column->key] ?? null, $column->required, $order, $today));
            }
        }

        return $violations;
    }

    private function fault(Question $question, mixed $answer, bool $required, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        if (QuestionType::Files === $question->type) {
            return $this->filesFault($question, $answer, $required);
        }
        if (QuestionType::AnyOf === $question->type) {
            return self::choicesFault($question, $answer, $required);
        }
        if ([] !== $question->type->parts()) {
            return $this->parts->fault($question, $answer, $required, $order, $today);
        }
        if (null !== $answer && !\is_string($answer)) {
            return 'Write this as text.';
        }
        $text = trim($answer ?? '');
        if ('' === $text) {
            return $required ? self::missing($question) : null;
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
        $fault = match ($question->type) {
            QuestionType::PersonName, QuestionType::Organisation => 1 === preg_match('/\p{L}/u', $text) ? null : 'Write a name with letters.',
            QuestionType::Email => $this->emails->fault($text),
            QuestionType::Phone => $this->phones->fault($text),
            QuestionType::OneOf => null !== ChoiceReader::read($question, $text) ? null : 'Choose one of the answers offered.',
            QuestionType::Day => $this->days->fault($text, $question->checks, $order, $today),
            QuestionType::Number, QuestionType::Money, QuestionType::Scale, QuestionType::Rating => NumberCheck::fault($question, $text),
            QuestionType::Time => 1 === preg_match('/^([01]\d|2[0-3]):[0-5]\d$/', $text) ? null : 'Write the time like 14:30.',
            QuestionType::YesNo => null !== ChoiceReader::read($question, $text) ? null : 'Choose yes or no.',
            QuestionType::Consent => 'yes' === $text ? null : 'Tick the box, or leave it.',
            default => null,
        };

        return $fault ?? ('' === $question->checks->pattern || Pattern::fits($question->checks->pattern, $text) ? null : $question->checks->message);
    }

    private function filesFault(Question $question, mixed $answer, bool $required): ?string
    {
        if (null === $answer || [] === $answer || '' === $answer) {
            return $required ? 'Add at least one file.' : null;
        }
        if (!\is_array($answer) || \count($answer) !== \count(array_filter($answer, \is_string(...)))) {
            return 'Files are named by their upload ids.';
        }

        return \count($answer) > $question->maxFiles ? "At most {$question->maxFiles} files fit here. Take some out." : null;
    }

    private static function choicesFault(Question $question, mixed $answer, bool $required): ?string
    {
        $chosen = null === $answer || '' === $answer ? [] : $answer;
        if (!\is_array($chosen) || !array_is_list($chosen)) {
            return 'Send the choices as a list.';
        }
        if (\count($chosen) > \count($question->options)) {
            return 'Choose each answer once at most.';
        }
        $values = [];
        foreach ($chosen as $one) {
            $value = \is_string($one) ? ChoiceReader::read($question, $one) : null;
            if (null === $value) {
                return 'Choose from the answers offered.';
            }
            if (isset($values[$value])) {
                return 'Choose each answer once at most.';
            }
            $values[$value] = true;
        }

        return [] === $chosen && $required ? 'Choose at least one.' : null;
    }

    private static function missing(Question $question): string
    {
        return match ($question->type) {
            QuestionType::PersonName => 'Tell us your name.',
            QuestionType::Email => 'Tell us your email address, so that we can answer.',
            QuestionType::OneOf, QuestionType::YesNo, QuestionType::Scale, QuestionType::Rating => 'Choose one.',
            QuestionType::Consent => 'We need your consent for this.',
            default => 'This is needed.',
        };
    }
}
