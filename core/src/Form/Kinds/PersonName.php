<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;

/** A name, written as people write theirs. */
final class PersonName extends Written
{
    public static function name(): string
    {
        return 'person-name';
    }

    public function destinations(): array
    {
        return [Destination::ClientName, Destination::ContactName, Destination::ProjectNotes];
    }

    protected function missing(): string
    {
        return 'Tell us your name.';
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return 1 === preg_match('/\p{L}/u', $text) ? null : 'Write a name with letters.';
    }
}
