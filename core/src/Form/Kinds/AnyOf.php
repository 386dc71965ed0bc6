<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\ChoiceReader;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Pointing;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Time\DayOrder;

/** Some of some answers. */
final class AnyOf extends QuestionKind
{
    public static function name(): string
    {
        return 'any-of';
    }

    public function destinations(): array
    {
        return [
            Destination::ClientTags,
            Destination::ClientNotes,
            Destination::AssetNotes,
            Destination::ProjectTags,
            Destination::AppointmentWish,
            Destination::QuoteWish,
            Destination::Task,
            Destination::ProjectNotes,
        ];
    }

    public function corrected(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $one): bool => '' !== $one));
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

    public function fault(Question $question, mixed $answer, bool $needed, Asking $at): ?string
    {
        $chosen = null === $answer || '' === $answer ? [] : $answer;
        if (!\is_array($chosen) || !array_is_list($chosen)) {
            return 'Send the choices as a list.';
        }
        if (\count($chosen) > \count($question->options)) {
            return 'Choose each answer once at most.';
        }
        $values = [];
        foreach ($chosen as $one) {
            $value = \is_string($one) ? ChoiceReader::read($question, $one) : null;
            if (null === $value) {
                return 'Choose from the answers offered.';
            }
            if (isset($values[$value])) {
                return 'Choose each answer once at most.';
            }
            $values[$value] = true;
        }

        return [] === $chosen && $needed ? 'Choose at least one.' : null;
    }

    public function text(Question $question, mixed $answer): string
    {
        return implode(', ', array_map($question->labelOf(...), self::chosen($answer)));
    }

    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));
        $value = \is_array($answer)
            ? array_map(static fn (string $one): string => ChoiceReader::read($question, $one) ?? $one, self::chosen($answer))
            : trim(\is_string($answer) ? $answer : '');

        return '' === $text ? null : new Reading($question, $text, $value, [], $line);
    }

    public function meant(Question $question, mixed $answer): mixed
    {
        return \is_array($answer) ? array_map(static fn (mixed $one): mixed => \is_string($one) ? ChoiceReader::read($question, $one) ?? $one : $one, $answer) : $answer;
    }

    /** @return list<string> */
    private static function chosen(mixed $answer): array
    {
        return array_values(array_filter(\is_array($answer) ? $answer : [$answer], \is_string(...)));
    }
}
