<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** A line of a quote as far as it is reckoned. */
final readonly class PricedLine
{
    /**
     * @param BigDecimal $price of one, without or with VAT as the whole quote is
     * @param BigDecimal|null $discountPercent of quantity × price; null for none
     * @param BigDecimal|null $discountAmount besides; null for none
     * @param bool $counts whether it is part of the sums: an option that is not chosen is none
     */
    public function __construct(
        public BigDecimal $quantity,
        public BigDecimal $price,
        public ?BigDecimal $discountPercent,
        public ?BigDecimal $discountAmount,
        public Vat $vat,
        public bool $counts = true,
    ) {
    }

    /**
     * Quantity × price less the discounts, rounded once, half up (EN 16931, BT-131; PEPPOL-EN16931-R120).
     *
     * @param int<0, max> $places
     */
    public function net(int $places): BigDecimal
    {
        $full = $this->quantity->multipliedBy($this->price);
        $net = $full;
        if (null !== $this->discountPercent) {
            $net = $net->minus($full->multipliedBy($this->discountPercent)->withPointMovedLeft(2));
        }
        if (null !== $this->discountAmount) {
            $net = $net->minus($this->discountAmount);
        }

        return $net->toScale($places, RoundingMode::HalfUp);
    }
}
