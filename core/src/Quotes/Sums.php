<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** All that the sums of a quote are reckoned from. */
final readonly class Sums
{
    /**
     * @param bool $gross whether prices are with VAT
     * @param list<PricedLine> $lines
     * @param list<array{OnWhole, Vat}> $allowances each with the category that it belongs to
     * @param list<array{OnWhole, Vat}> $charges the same
     * @param OnWhole $deposit of the total with tax
     * @param list<BigDecimal> $instalments percents of the total with tax that add up to 100; none for no instalments
     */
    public function __construct(
        public Currency $currency,
        public bool $gross,
        public array $lines,
        public array $allowances = [],
        public array $charges = [],
        public OnWhole $deposit = new OnWhole(null, null),
        public array $instalments = [],
    ) {
    }
}
