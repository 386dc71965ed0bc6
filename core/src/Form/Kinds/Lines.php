<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;

/** A table: the same things asked once a line. */
final class Lines extends QuestionKind
{
    public static function name(): string
    {
        return 'lines';
    }

    public function destinations(): array
    {
        return [];
    }

    public function corrected(string $text): null
    {
        return null;
    }

    public function customKinds(): array
    {
        return [];
    }

    public function fitsInLines(): bool
    {
        return false;
    }

    public function carries(): bool
    {
        return false;
    }

    /** Of the table as a whole; each answer of a line is checked by its own kind. */
    public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string
    {
        $lines = $answer ?? [];
        if (!\is_array($lines) || !array_is_list($lines) || \count($lines) !== \count(array_filter($lines, \is_array(...)))) {
            return 'Send the lines as a list of answers by column.';
        }
        if (\count($lines) > $question->maxLines) {
            return "At most {$question->maxLines} lines fit here. Take some out.";
        }

        return [] === $lines && $needed ? 'Add at least one line.' : null;
    }

    /** @return string the lines stand under one another */
    public function text(Question $question, mixed $answer): string
    {
        return \is_array($answer) ? trim(implode("\n", array_map(static fn (mixed $line): string => \is_array($line) ? self::line($question, $line) : '', $answer))) : '';
    }

    /** @param array<array-key, mixed> $answer one line of a table */
    public static function line(Question $question, array $answer): string
    {
        $told = [];
        foreach ($question->lines as $column) {
            $text = $column->type->text($column, $answer[$column->key] ?? '');
            if ('' !== trim($text)) {
                $told[] = "{$column->wording}: $text";
            }
        }

        return implode(', ', $told);
    }
}
