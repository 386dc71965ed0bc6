<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** The sums of a quote, all in whole minor units of its currency. */
final readonly class Totals
{
    /**
     * @param list<BigDecimal> $lines what each comes to, those that do not count too; with VAT where prices are
     * @param list<array{vat: Vat, taxable: BigDecimal, tax: BigDecimal}> $vat in the order in which each first comes
     * @param BigDecimal $net sum of what is taxable (BT-109)
     * @param BigDecimal $tax sum of the tax (BT-110, BR-CO-14)
     * @param BigDecimal $total both (BT-112, BR-CO-15)
     * @param list<BigDecimal> $instalments that add up to the total
     * @param list<BigDecimal> $allowances what each comes to
     * @param list<BigDecimal> $charges the same
     */
    public function __construct(
        public array $lines,
        public array $vat,
        public BigDecimal $net,
        public BigDecimal $tax,
        public BigDecimal $total,
        public BigDecimal $deposit,
        public array $instalments,
        public array $allowances,
        public array $charges,
    ) {
    }

    /** @return array<string, mixed> as telamon:quotes:total prints it */
    public function toArray(): array
    {
        return [
            'lines' => array_map(static fn (BigDecimal $net): array => ['net' => (string) $net], $this->lines),
            'vat' => array_map(
                static fn (array $one): array => [
                    'category' => $one['vat']->category,
                    'rate' => $one['vat']->rate,
                    'taxable' => (string) $one['taxable'],
                    'tax' => (string) $one['tax'],
                ],
                $this->vat,
            ),
            'net' => (string) $this->net, 'tax' => (string) $this->tax, 'total' => (string) $this->total,
            'deposit' => (string) $this->deposit,
            'instalments' => array_map(static fn (BigDecimal $one): string => (string) $one, $this->instalments),
        ];
    }
}
