<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** A name in its parts. */
final class NameParts extends InParts
{
    public static function name(): string
    {
        return 'name-parts';
    }

    public function destinations(): array
    {
        return [Destination::ClientName, Destination::ContactName, Destination::ProjectNotes];
    }

    public function parts(): array
    {
        return ['given', 'family'];
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));

        return '' === $text ? null : new Reading($question, $text, [self::part($answer, 'given'), self::part($answer, 'family')], [], $line);
    }

    protected function names(): array
    {
        return ['given' => 'Given name', 'family' => 'Family name'];
    }

    protected function needed(): array
    {
        return ['given'];
    }

    protected function between(): string
    {
        return ' ';
    }

    protected function missing(): string
    {
        return 'Tell us your name.';
    }

    protected function wrong(Question $question, array $given, Asking $at): ?string
    {
        return 1 === preg_match('/\p{L}/u', implode('', $given)) ? $this->incomplete($given) : 'Write a name with letters.';
    }
}
