<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;

/** An answer as one text, for people to read: on the sheet, in tables, in files. */
final class AnswerText
{
    /** @return string empty where nothing was answered; the lines of a table stand under one another */
    public static function of(Question $question, mixed $answer): string
    {
        if (\is_string($answer)) {
            return match ($question->type) {
                QuestionType::YesNo => ['yes' => 'Yes', 'no' => 'No'][$answer] ?? $answer,
                QuestionType::Consent => 'yes' === $answer ? 'Given' : $answer,
                default => $question->labelOf($answer),
            };
        }
        if (!\is_array($answer)) {
            return '';
        }

        return match ($question->type) {
            QuestionType::Files => self::files($answer),
            QuestionType::Lines => trim(implode("\n", array_map(static fn (mixed $line): string => \is_array($line) ? self::line($question, $line) : '', $answer))),
            QuestionType::Signature => '' === self::part($answer, 'name') ? '' : 'Signed by '.self::part($answer, 'name').('drawn' === self::part($answer, 'how') ? ', drawn' : ', by typing the name'),
            QuestionType::DaySpan => self::joined($answer, ['from', 'to'], ' to '),
            QuestionType::DayTime, QuestionType::AddressParts => self::joined($answer, $question->type->parts(), ', '),
            QuestionType::NameParts => self::joined($answer, $question->type->parts(), ' '),
            default => implode(', ', array_map($question->labelOf(...), array_filter($answer, \is_string(...)))),
        };
    }

    /** @param array<array-key, mixed> $answer one line of a table */
    public static function line(Question $question, array $answer): string
    {
        $told = [];
        foreach ($question->lines as $column) {
            $text = self::of($column, $answer[$column->key] ?? '');
            if ('' !== trim($text)) {
                $told[] = "{$column->wording}: $text";
            }
        }

        return implode(', ', $told);
    }

    /** @param array<array-key, mixed> $ids */
    private static function files(array $ids): string
    {
        return match (\count($ids)) {
            0 => '',
            1 => '1 file',
            default => \count($ids).' files',
        };
    }

    /**
     * @param array<array-key, mixed> $answer
     * @param list<string> $parts
     */
    private static function joined(array $answer, array $parts, string $between): string
    {
        return implode($between, array_filter(array_map(static fn (string $part): string => self::part($answer, $part), $parts), static fn (string $text): bool => '' !== $text));
    }

    /** @param array<array-key, mixed> $answer */
    private static function part(array $answer, string $name): string
    {
        return \is_string($answer[$name] ?? null) ? trim($answer[$name]) : '';
    }
}
