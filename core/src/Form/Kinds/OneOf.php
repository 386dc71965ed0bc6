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

/** One of some answers. */
final class OneOf extends Written
{
    public static function name(): string
    {
        return 'one-of';
    }

    public function destinations(): array
    {
        return [
            Destination::ProjectService,
            Destination::ClientTags,
            Destination::ClientNotes,
            Destination::ContactRole,
            Destination::AssetDescription,
            Destination::AssetMake,
            Destination::AssetModel,
            Destination::AssetNotes,
            Destination::ProjectTitle,
            Destination::ProjectBudget,
            Destination::ProjectTags,
            Destination::AppointmentWish,
            Destination::QuoteWish,
            Destination::Task,
            Destination::ProjectNotes,
        ];
    }

    public function customKinds(): array
    {
        return [CustomKind::Text, CustomKind::Choice];
    }

    public function offersOptions(): bool
    {
        return true;
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
        return \is_string($answer) ? ChoiceReader::read($question, $answer) ?? $answer : $answer;
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));
        $meant = \is_string($answer) ? ChoiceReader::read($question, $answer) : null;

        return '' === $text ? null : new Reading($question, null === $meant ? $text : $question->labelOf($meant), $meant ?? $text, [], $line);
    }

    protected function missing(): string
    {
        return 'Choose one.';
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        return null !== ChoiceReader::read($question, $text) ? null : 'Choose one of the answers offered.';
    }
}
