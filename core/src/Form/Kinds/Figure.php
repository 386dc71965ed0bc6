<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Telamon\Core\Condition\Facts;
use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Counting;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Pointing;
use Telamon\Core\Form\Question;
use Telamon\Core\Time\DayOrder;

/** Kinds whose answer is a number. */
abstract class Figure extends Written
{
    public function customKinds(): array
    {
        return [CustomKind::Number];
    }

    public function pointing(): Pointing
    {
        return Pointing::ByAmount;
    }

    public function counting(): Counting
    {
        return Counting::Numbers;
    }

    public function number(string $text): ?BigDecimal
    {
        return Facts::asNumber(ltrim(trim($text), "€£ \u{a0}$"));
    }

    protected function wrong(Question $question, string $text, Asking $at): ?string
    {
        $number = Facts::asNumber($this->figures($text));
        if (null === $number) {
            return 'Write it in figures, like '.$this->example().'.';
        }
        if ($this->isWhole() && !$number->isEqualTo($number->toScale(0, RoundingMode::Down))) {
            return 'Choose a whole number.';
        }
        [$min, $max] = $this->bounds($question);
        [$least, $most] = [Facts::asNumber($min), Facts::asNumber($max)];
        if (null !== $least && $number->isLessThan($least)) {
            return "Write $min or more.";
        }

        return null !== $most && $number->isGreaterThan($most) ? "Write $max or less." : null;
    }

    /** The text as plain figures, where it can be read so. */
    protected function figures(string $text): string
    {
        return $text;
    }

    protected function example(): string
    {
        return '12';
    }

    protected function isWhole(): bool
    {
        return false;
    }

    /** @return array{string, string} least and most; empty for none */
    protected function bounds(Question $question): array
    {
        return [$question->checks->min, $question->checks->max];
    }

    protected function isOrderedByMeaning(): bool
    {
        return true;
    }

    /**
     * A decimal as text that compares by bytes as the decimals do by size: its sign, how many figures stand before
     * the point, the figures; below nought everything the other way round.
     */
    protected function meaning(mixed $answer, string $text, DayOrder $order): ?string
    {
        $number = $this->number($text);
        if (null === $number) {
            return null;
        }
        [$whole, $places] = [...explode('.', (string) $number->abs()->strippedOfTrailingZeros()), ''];
        $figures = \sprintf('%03d', \strlen($whole)).$whole.('' === $places ? '' : ".$places");

        return $number->isNegative() ? '0'.strtr($figures, '0123456789', '9876543210').'~' : "1$figures";
    }
}
