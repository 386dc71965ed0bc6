<?php

declare(strict_types=1);

namespace Telamon\Core\Figures;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Least, quarters, most and mean of numbers. Percentiles are type 7 of Hyndman and Fan (American Statistician 50, 1996). */
final readonly class Spread
{
    private const PLACES = 2;

    /**
     * @param non-empty-list<BigDecimal> $numbers each once, from the least to the most
     * @param non-empty-list<int> $upTo how many there are up to each
     */
    private function __construct(private array $numbers, private array $upTo)
    {
    }

    /** @param array<array-key, int> $numbers how often each decimal stands there; in any order */
    public static function of(array $numbers): ?self
    {
        $sorted = array_map(static fn (int|string $number): array => [BigDecimal::of($number), $numbers[$number]], array_keys($numbers));
        usort($sorted, static fn (array $a, array $b): int => $a[0]->compareTo($b[0]));
        $upTo = [];
        $sum = 0;
        foreach ($sorted as [, $times]) {
            $upTo[] = $sum += $times;
        }

        return [] === $sorted ? null : new self(array_column($sorted, 0), $upTo);
    }

    /** @param numeric-string $share “0.25” for the lower quarter; exact decimals, rounded half up to two places */
    public function percentile(string $share): string
    {
        $at = BigDecimal::of($this->count() - 1)->multipliedBy($share);
        $below = $at->toScale(0, RoundingMode::Down);
        $low = $this->at($below->toInt());
        $high = $this->at(min($below->toInt() + 1, $this->count() - 1));

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
        foreach ($this->numbers as $i => $number) {
            $sum = $sum->plus($number->multipliedBy($this->upTo[$i] - ($this->upTo[$i - 1] ?? 0)));
        }

        return self::words($sum->dividedBy($this->count(), 10, RoundingMode::HalfUp));
    }

    private function count(): int
    {
        return $this->upTo[\count($this->upTo) - 1];
    }

    /** The number at a place of the sorted list, from 0. */
    private function at(int $place): BigDecimal
    {
        foreach ($this->upTo as $i => $upTo) {
            if ($place < $upTo) {
                return $this->numbers[$i];
            }
        }
        throw new \LogicException('a share lies between 0 and 1');
    }

    private static function words(BigDecimal $number): string
    {
        return (string) $number->toScale(self::PLACES, RoundingMode::HalfUp)->strippedOfTrailingZeros();
    }
}
