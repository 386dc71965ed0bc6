<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

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
    public function check(FormDefinition $form, array $answers, \DateTimeImmutable $today): array
    {
        $violations = [];
        foreach ($answers as $key => $answer) {
            if (null === $form->question((string) $key)) {
                $violations[] = new Violation(mb_substr((string) $key, 0, 80), 'This form does not ask that.');
            }
        }
        foreach ($form->questions() as $question) {
            $message = $this->fault($question, $answers[$question->key] ?? null, $form->dayOrder, $today);
            if (null !== $message) {
                $violations[] = new Violation($question->key, $message);
            }
        }

        return $violations;
    }

    private function fault(Question $question, mixed $answer, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        if (QuestionType::Files === $question->type) {
            return $this->filesFault($question, $answer);
        }
        if (null !== $answer && !\is_string($answer)) {
            return 'Write this as text.';
        }
        $text = trim($answer ?? '');
        if ('' === $text) {
            return $question->required ? self::missing($question) : null;
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            return 'Some characters could not be read. Type this again.';
        }
        $length = mb_strlen($text);
        if ($length > $question->maxLength) {
            return \sprintf('Shorten this to %s characters. It has %s now.', number_format($question->maxLength), number_format($length));
        }

        return match ($question->type) {
            QuestionType::PersonName => 1 === preg_match('/\p{L}/u', $text) ? null : 'Write a name with letters.',
            QuestionType::Email => $this->emails->fault($text),
            QuestionType::Phone => $this->phones->fault($text),
            QuestionType::OneOf => $question->offers($text) ? null : 'Choose one of the answers offered.',
            QuestionType::Day => $this->dayFault($text, $order, $today),
            default => null,
        };
    }

    private function dayFault(string $text, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        $days = $this->days->read($text, $order);
        if ([] === $days) {
            return 'There is no such day. Write it like 2027-06-12.';
        }
        $last = end($days);
        if ($last->format('Y-m-d') < $today->format('Y-m-d')) {
            return 'That day has passed. Choose today or later.';
        }

        return (int) $last->format('Y') > (int) $today->format('Y') + 10 ? 'That is more than ten years away. Check the year.' : null;
    }

    private function filesFault(Question $question, mixed $answer): ?string
    {
        if (null === $answer || [] === $answer || '' === $answer) {
            return $question->required ? 'Add at least one file.' : null;
        }
        if (!\is_array($answer) || \count($answer) !== \count(array_filter($answer, \is_string(...)))) {
            return 'Files are named by their upload ids.';
        }

        return \count($answer) > $question->maxFiles ? "At most {$question->maxFiles} files fit here. Take some out." : null;
    }

    private static function missing(Question $question): string
    {
        return match ($question->type) {
            QuestionType::PersonName => 'Tell us your name.',
            QuestionType::Email => 'Tell us your email address, so that we can answer.',
            QuestionType::OneOf => 'Choose one.',
            default => 'This is needed.',
        };
    }
}
