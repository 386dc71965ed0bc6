<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** A mail address. */
final class Email extends Written
{
    public static function name(): string
    {
        return 'email';
    }

    public function destinations(): array
    {
        return [Destination::ClientEmail, Destination::ContactEmail, Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 254;
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));

        return '' === $text ? null : new Reading($question, $text, $by->emails->read($text), [], $line);
    }

    public function mustBeRead(): bool
    {
        return true;
    }

    protected function missing(): string
    {
        return 'Tell us your email address, so that we can answer.';
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return $at->readers->emails->fault($text);
    }
}
