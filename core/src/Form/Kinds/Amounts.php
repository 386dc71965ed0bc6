<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Brick\Math\BigDecimal;
use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Reading;
use Telamon\Core\Reading\AmountReader;
use Telamon\Core\Time\DayOrder;

/** Numbers as people write them: “about 200”, “1.250,50”, “up to 3000”. */
abstract class Amounts extends Figure
{
    public function customKinds(): array
    {
        return [CustomKind::Text, CustomKind::Number];
    }

    public function longest(): int
    {
        return 40;
    }

    public function mustBeRead(): bool
    {
        return true;
    }

    /** What cannot be read as an amount keeps its text, and has no value. */
    public function read(Question $question, mixed $answer, DayOrder $order, Readers $by, int $line = 0): ?Reading
    {
        $text = trim($this->text($question, $answer));
        if ('' === $text) {
            return null;
        }
        $amount = $by->amounts->read($text);
        $possible = null === $amount ? [] : array_values(array_filter([$amount->value, $amount->upTo], static fn (string $value): bool => '' !== $value));

        return new Reading($question, $text, $amount->value ?? (null === Facts::asNumber($text) ? null : $text), $possible, $line, true === $amount?->isAbout);
    }

    public function understood(Question $question, mixed $answer): mixed
    {
        return \is_string($answer) ? (new AmountReader())->read($answer)->value ?? $answer : $answer;
    }

    public function number(string $text): ?BigDecimal
    {
        $read = parent::number($text);
        $value = null === $read ? (new AmountReader())->read($text)?->value : null;

        return $read ?? (null === $value ? null : Facts::asNumber($value));
    }

    public function counted(Question $question, mixed $answer): array
    {
        return array_values(array_unique(array_map(
            fn (string $text): string => (string) ($this->number($text)?->strippedOfTrailingZeros() ?? $text),
            parent::counted($question, $answer),
        )));
    }

    protected function figures(string $text): string
    {
        return (new AmountReader())->read($text)->value ?? $text;
    }
}
