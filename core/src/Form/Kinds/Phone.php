<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** A phone number. */
final class Phone extends Written
{
    public static function name(): string
    {
        return 'phone';
    }

    public function destinations(): array
    {
        return [Destination::ClientPhone, Destination::ContactPhone, Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 40;
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));

        return '' === $text ? null : new Reading($question, $text, $by->phones->read($text), [], $line);
    }

    public function mustBeRead(): bool
    {
        return true;
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return $at->readers->phones->fault($text);
    }
}
