<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;

/** The name of a firm, a school, a hall. */
final class Organisation extends Written
{
    public static function name(): string
    {
        return 'organisation';
    }

    public function destinations(): array
    {
        return [Destination::ClientName, Destination::ClientOrganisation, Destination::ProjectNotes];
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return 1 === preg_match('/\p{L}/u', $text) ? null : 'Write a name with letters.';
    }
}
