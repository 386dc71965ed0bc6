<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

/**
 * The share of quotes of a size that were answered with yes, as an interval: the score interval of Wilson, 95 %
 * (E. B. Wilson, Journal of the American Statistical Association 22, 1927, 209–212).
 */
final readonly class Chance
{
    private const Z = 1.959963984540054;
    /** Under so many it is said to be a guess. */
    public const FEW = 20;

    public function __construct(public int $yes, public int $all)
    {
    }

    /** @return array{float, float}|null from and to, between 0 and 1; null where none was answered yet */
    public function interval(): ?array
    {
        if ($this->all < 1) {
            return null;
        }
        $n = $this->all;
        $p = $this->yes / $n;
        $z2 = self::Z ** 2;
        $middle = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = self::Z / (1 + $z2 / $n) * sqrt($p * (1 - $p) / $n + $z2 / (4 * $n * $n));

        return [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }

    public function isGuess(): bool
    {
        return $this->all < self::FEW;
    }
}
