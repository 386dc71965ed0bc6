<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** One payment of what a quote comes to. */
final readonly class Payment
{
    /**
     * @param string|null $percent as it was agreed; null for an amount, or for what is left
     * @param string $when in words; empty where nothing is said
     * @param BigDecimal $amount to pay, with tax
     * @param bool $isLess whether the deposit was taken off it
     */
    public function __construct(public PaymentKind $kind, public ?string $percent, public string $when, public BigDecimal $amount, public bool $isLess = false)
    {
    }
}
