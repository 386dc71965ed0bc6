<?php

declare(strict_types=1);

namespace Telamon\Core\Figures;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Least, quarters, most and mean of numbers. Percentiles are type 7 of Hyndman and Fan (American Statistician 50, 1996). */
final readonly class Spread
{
    private const PLACES = 2;

    /** @param non-empty-list<BigDecimal> $numbers from the least to the most */
    private function __construct(private array $numbers)
    {
    }

    /** @param list<BigDecimal> $numbers in any order */
    public static function of(array $numbers): ?self
    {
        usort($numbers, static fn (BigDecimal $a, BigDecimal $b): int => $a->compareTo($b));

        return [] === $numbers ? null : new self($numbers);
    }

    /** @param numeric-string $share “0.25” for the lower quarter; exact decimals, rounded half up to two places */
    public function percentile(string $share): string
    {
        $at = BigDecimal::of(\count($this->numbers) - 1)->multipliedBy($share);
        $below = $at->toScale(0, RoundingMode::Down);
        $i = $below->toInt();
        $low = $this->numbers[$i] ?? throw new \LogicException('a share lies between 0 and 1');
        $high = $this->numbers[$i + 1] ?? $low;

        return self::words($low->plus($high->minus($low)->multipliedBy($at->minus($below))));
    }

    public function least(): BigDecimal
    {
        return $this->numbers[0];
    }

    public function most(): BigDecimal
    {
        return $this->numbers[\count($this->numbers) - 1];
    }

    /** Rounded half up to two places. */
    public function mean(): string
    {
        $sum = BigDecimal::zero();
        foreach ($this->numbers as $number) {
            $sum = $sum->plus($number);
        }

        return self::words($sum->dividedBy(\count($this->numbers), 10, RoundingMode::HalfUp));
    }

    private static function words(BigDecimal $number): string
    {
        return (string) $number->toScale(self::PLACES, RoundingMode::HalfUp)->strippedOfTrailingZeros();
    }
}
