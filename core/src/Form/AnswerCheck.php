<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Reading\DayReader;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;

/** Says what is wrong with a set of answers, in words that tell the person what to do. */
final readonly class AnswerCheck
{
    public function __construct(
        private EmailReader $emails,
        private PhoneReader $phones,
        private DayReader $days,
    ) {
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
            if (null === $question || QuestionType::Statement === $question->type || ($question->staffOnly && !$staff)) {
                $violations[] = new Violation(mb_substr((string) $key, 0, 80), 'This form does not ask that.');
            }
        }
        $day = $today->format('Y-m-d');
        $seen = [];
        foreach ($form->shown($answers, $day, $staff) as $question) {
            $required = $question->required || true === $question->requiredIf?->holds(new Facts($seen, $day, $form->dayOrder));
            $answer = $answers[$question->key] ?? null;
            $message = $this->fault($question, $answer, $required, $form->dayOrder, $today);
            if (null !== $message) {
                $violations[] = new Violation($question->key, $message);
            }
            $seen[$question->key] = $answer;
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
        $fault = match ($question->type) {
            QuestionType::PersonName, QuestionType::Organisation => 1 === preg_match('/\p{L}/u', $text) ? null : 'Write a name with letters.',
            QuestionType::Email => $this->emails->fault($text),
            QuestionType::Phone => $this->phones->fault($text),
            QuestionType::OneOf => $question->offers($text) ? null : 'Choose one of the answers offered.',
            QuestionType::Day => $this->dayFault($text, $question->checks, $order, $today),
            QuestionType::Number, QuestionType::Money, QuestionType::Scale, QuestionType::Rating => NumberCheck::fault($question, $text),
            QuestionType::Time => 1 === preg_match('/^([01]\d|2[0-3]):[0-5]\d$/', $text) ? null : 'Write a time like 14:30.',
            QuestionType::YesNo => \in_array($text, ['yes', 'no'], true) ? null : 'Choose yes or no.',
            QuestionType::Consent => 'yes' === $text ? null : 'Tick the box, or leave it.',
            default => null,
        };

        return $fault ?? ('' === $question->checks->pattern || Pattern::fits($question->checks->pattern, $text) ? null : $question->checks->message);
    }

    private function dayFault(string $text, Checks $checks, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        $days = $this->days->read($text, $order);
        if ([] === $days) {
            return 'There is no such day. Write it like 2027-06-12.';
        }
        $last = end($days);
        $earliest = Checks::day($checks->min, $today) ?? $today->format('Y-m-d');
        if ($last->format('Y-m-d') < $earliest) {
            return $earliest === $today->format('Y-m-d') ? 'That day has passed. Choose today or later.' : 'That is too early. Choose '.(new \DateTimeImmutable($earliest))->format('j F Y').' or later.';
        }
        $latest = Checks::day($checks->max, $today);
        if (null !== $latest && $days[0]->format('Y-m-d') > $latest) {
            return 'That is too late. Choose '.(new \DateTimeImmutable($latest))->format('j F Y').' or earlier.';
        }

        return (int) $last->format('Y') > (int) $today->format('Y') + 10 ? 'That is more than ten years away. Check the year.' : null;
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
        if (!\is_array($chosen)) {
            return 'Send the choices as a list.';
        }
        foreach ($chosen as $one) {
            if (!\is_string($one) || !$question->offers($one)) {
                return 'Choose from the answers offered.';
            }
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
