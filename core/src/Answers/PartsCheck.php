<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Time\DayOrder;

/** Says what is wrong with an answer that comes in parts: a name, an address, a day and time, a span, a signature. */
final readonly class PartsCheck
{
    private const NAMES = [
        'given' => 'Given name', 'family' => 'Family name',
        'line' => 'Street and number', 'locality' => 'Town', 'postalCode' => 'Postal code', 'country' => 'Country',
        'day' => 'Day', 'time' => 'Time', 'from' => 'First day', 'to' => 'Last day',
    ];
    private const NEEDED = ['given', 'line', 'locality', 'day', 'time', 'from', 'to', 'name'];

    public function __construct(private DayCheck $days)
    {
    }

    /** @return string|null what to do, null where nothing is wrong */
    public function fault(Question $question, mixed $answer, bool $required, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        if (null !== $answer && !\is_array($answer)) {
            return 'Send this in its parts: '.implode(', ', $question->type->parts()).'.';
        }
        $parts = $answer ?? [];
        foreach ($parts as $name => $text) {
            if (!\in_array($name, $question->type->parts(), true) || !\is_string($text)) {
                return 'Send this in its parts: '.implode(', ', $question->type->parts()).'.';
            }
            if (!mb_check_encoding($text, 'UTF-8') || mb_strlen(trim($text)) > $question->maxLength) {
                return (self::NAMES[$name] ?? 'This').": shorten this to {$question->maxLength} characters.";
            }
        }
        $given = array_filter(array_map(trim(...), array_filter(array_diff_key($parts, ['how' => 0, 'image' => 0]), \is_string(...))), static fn (string $text): bool => '' !== $text);
        if ([] === $given) {
            return $required ? self::missing($question) : null;
        }

        return match ($question->type) {
            QuestionType::DayTime => self::incomplete($question, $given) ?? $this->days->fault($given['day'] ?? '', $question->checks, $order, $today) ?? self::timeFault($given['time'] ?? ''),
            QuestionType::DaySpan => self::incomplete($question, $given) ?? $this->spanFault($given, $question, $order, $today),
            QuestionType::Signature => self::signatureFault($parts),
            QuestionType::NameParts => 1 === preg_match('/\p{L}/u', implode('', $given)) ? self::incomplete($question, $given) : 'Write a name with letters.',
            default => self::incomplete($question, $given),
        };
    }

    /** @param array<array-key, string> $given */
    private static function incomplete(Question $question, array $given): ?string
    {
        foreach ($question->type->parts() as $part) {
            if (!isset($given[$part]) && \in_array($part, self::NEEDED, true)) {
                return (self::NAMES[$part] ?? 'Name').': this is needed too.';
            }
        }

        return null;
    }

    /** @param array<array-key, string> $given */
    private function spanFault(array $given, Question $question, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        foreach (['from', 'to'] as $part) {
            $fault = $this->days->fault($given[$part] ?? '', $question->checks, $order, $today);
            if (null !== $fault) {
                return self::NAMES[$part].": $fault";
            }
        }
        [$first, $last] = [$this->days->earliest($given['from'] ?? '', $order), $this->days->latest($given['to'] ?? '', $order)];

        return $last < $first ? 'The last day comes before the first.' : null;
    }

    private static function timeFault(string $text): ?string
    {
        return 1 === preg_match('/^([01]\d|2[0-3]):[0-5]\d$/', $text) ? null : 'Write the time like 14:30.';
    }

    /** @param array<array-key, mixed> $parts */
    private static function signatureFault(array $parts): ?string
    {
        $how = $parts['how'] ?? '';
        if (!\in_array($how, ['drawn', 'typed'], true) || ('drawn' === $how && '' === ($parts['image'] ?? ''))) {
            return 'Draw your signature, or say that your typed name is it.';
        }

        return '' === trim(\is_string($parts['name'] ?? null) ? $parts['name'] : '') ? 'Write your name beside the signature.' : null;
    }

    private static function missing(Question $question): string
    {
        return match ($question->type) {
            QuestionType::NameParts => 'Tell us your name.',
            QuestionType::Signature => 'Sign here: write your name, then draw or confirm it.',
            default => 'This is needed.',
        };
    }
}
