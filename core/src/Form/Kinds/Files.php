<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** Photographs and other files. */
final class Files extends QuestionKind
{
    public static function name(): string
    {
        return 'files';
    }

    public function destinations(): array
    {
        return [Destination::Files];
    }

    public function customKinds(): array
    {
        return [];
    }

    public function fitsInLines(): bool
    {
        return false;
    }

    public function files(): int
    {
        return 8;
    }

    public function isFiles(): bool
    {
        return true;
    }

    public function carries(): bool
    {
        return false;
    }

    public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string
    {
        if (null === $answer || [] === $answer || '' === $answer) {
            return $needed ? 'Add at least one file.' : null;
        }
        if (!\is_array($answer) || \count($answer) !== \count(array_filter($answer, \is_string(...)))) {
            return 'Files are named by their upload ids.';
        }

        return \count($answer) > $question->maxFiles ? "At most {$question->maxFiles} files fit here. Take some out." : null;
    }

    public function text(Question $question, mixed $answer): string
    {
        $count = \is_array($answer) ? \count($answer) : 0;

        return match ($count) {
            0 => '',
            1 => '1 file',
            default => "$count files",
        };
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        return !\is_array($answer) || [] === $answer ? null : new Reading($question, '', array_values(array_filter($answer, \is_string(...))), [], $line);
    }
}
