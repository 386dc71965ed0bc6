<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Counting;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;

/** Whole numbers that are pointed at. */
abstract class Steps extends Figure
{
    public function destinations(): array
    {
        return [Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 10;
    }

    public function counting(): Counting
    {
        return Counting::Steps;
    }

    public function offered(Question $question): array
    {
        [$least, $most] = $this->bounds($question);

        return array_map(strval(...), range((int) $least, (int) $most));
    }

    protected function missing(): string
    {
        return 'Choose one.';
    }

    protected function isWhole(): bool
    {
        return true;
    }
}
