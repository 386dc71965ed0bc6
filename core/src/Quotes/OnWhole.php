<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** An allowance or a charge on the whole of a quote, or a part of it that is due beforehand: a share, an amount, or both. */
final readonly class OnWhole
{
    /** @param BigDecimal|null $percent, $amount null for none */
    public function __construct(public ?BigDecimal $percent, public ?BigDecimal $amount)
    {
    }

    /**
     * Rounded once, half up.
     *
     * @param BigDecimal $base of which the percent is
     * @param int<0, max> $places
     */
    public function of(BigDecimal $base, int $places): BigDecimal
    {
        $sum = $this->amount ?? BigDecimal::zero();
        if (null !== $this->percent) {
            $sum = $sum->plus($base->multipliedBy($this->percent)->withPointMovedLeft(2));
        }

        return $sum->toScale($places, RoundingMode::HalfUp);
    }
}
