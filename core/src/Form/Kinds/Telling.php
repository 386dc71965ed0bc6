<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;

/** Kinds that only tell: nothing is asked. */
abstract class Telling extends QuestionKind
{
    public function destinations(): array
    {
        return [];
    }

    public function customKinds(): array
    {
        return [];
    }

    public function asks(): bool
    {
        return false;
    }

    public function fitsInLines(): bool
    {
        return false;
    }

    public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string
    {
        return null;
    }

    public function text(Question $question, mixed $answer): string
    {
        return '';
    }
}
