<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** A VAT category (code list UNCL 5305, those that EN 16931 takes: BT-151) with its rate. */
final readonly class Vat
{
    /** What each category is, in words. */
    public const CATEGORIES = [
        'S' => 'standard or reduced rate', 'Z' => 'zero rated', 'E' => 'exempt', 'AE' => 'the client pays the VAT', 'K' => 'supply within the EU',
        'G' => 'export', 'O' => 'outside the scope of VAT', 'L' => 'Canary Islands tax', 'M' => 'tax of Ceuta and Melilla',
    ];

    public BigDecimal $percent;

    /** @param string $rate percent, as it was written: “13.5” */
    public function __construct(public string $category, public string $rate)
    {
        $this->percent = BigDecimal::of($rate);
    }

    /** The same for rates that are equal as numbers. */
    public function key(): string
    {
        return "{$this->category} {$this->percent->strippedOfTrailingZeros()}";
    }

    /** Whether there is no tax because of what it is, so that a reason has to be given (BR-E-10, BR-AE-10, BR-IC-10, BR-G-10, BR-O-10). */
    public function needsReason(): bool
    {
        return \in_array($this->category, ['E', 'AE', 'K', 'G', 'O'], true);
    }
}
