<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\ChoiceReader;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Pointing;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** Yes or no. */
final class YesNo extends Written
{
    public static function name(): string
    {
        return 'yes-no';
    }

    public function destinations(): array
    {
        return [Destination::ProjectNotes];
    }

    public function longest(): int
    {
        return 10;
    }

    public function customKinds(): array
    {
        return [CustomKind::Text, CustomKind::YesNo];
    }

    public function counting(): Counting
    {
        return Counting::Choices;
    }

    public function pointing(): Pointing
    {
        return Pointing::ByChoice;
    }

    public function meant(Question $question, mixed $answer): mixed
    {
        return \is_string($answer) ? ChoiceReader::yesNo($answer) ?? $answer : $answer;
    }

    public function offered(Question $question): array
    {
        return ['yes', 'no'];
    }

    public function labelOf(Question $question, string $value): string
    {
        return ucfirst($value);
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));
        $meant = \is_string($answer) ? ChoiceReader::yesNo($answer) : null;

        return '' === $text ? null : new Reading($question, null === $meant ? $text : ucfirst($meant), $meant ?? $text, [], $line);
    }

    protected function told(Question $question, string $answer): string
    {
        return ['yes' => 'Yes', 'no' => 'No'][$answer] ?? $answer;
    }

    protected function missing(): string
    {
        return 'Choose one.';
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return null !== ChoiceReader::yesNo($text) ? null : 'Choose yes or no.';
    }
}
