<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;

/** A time of day. */
final class Time extends Written
{
    public static function name(): string
    {
        return 'time';
    }

    public function destinations(): array
    {
        return [Destination::AppointmentWish, Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 10;
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return self::clock($text);
    }

    /** @return string|null what is wrong with a time */
    public static function clock(string $text): ?string
    {
        return 1 === preg_match('/^([01]\d|2[0-3]):[0-5]\d$/', $text) ? null : 'Write the time like 14:30.';
    }
}
