<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** What is on the price list. */
final readonly class Priced
{
    /**
     * @param string|null $price of one, decimal as text; null where it is priced each time
     * @param list<array{from: string, price: string}> $steps prices from a quantity on
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $text,
        public string $unit,
        public ?string $price,
        public Vat $vat,
        public string $group,
        public array $steps = [],
    ) {
    }

    /** The price of one where so many are taken: that of the highest step that is reached. */
    public function priceFor(string $quantity): ?string
    {
        $many = BigDecimal::of($quantity);
        $price = $this->price;
        $reached = null;
        foreach ($this->steps as $step) {
            $from = BigDecimal::of($step['from']);
            if (!$from->isGreaterThan($many) && (null === $reached || $from->isGreaterThan($reached))) {
                [$price, $reached] = [$step['price'], $from];
            }
        }

        return $price;
    }

    /**
     * What the list asks for so many of a line, where that is another price than the line has. A price that somebody
     * has written themselves is left alone.
     */
    public function otherFor(QuoteLine $line): ?string
    {
        $asked = $this->priceFor($line->quantity);
        $isOfList = [] !== array_filter(
            [$this->price, ...array_column($this->steps, 'price')],
            static fn (?string $one): bool => null !== $one && null !== $line->price && BigDecimal::of($one)->isEqualTo($line->price),
        );

        return null !== $asked && $isOfList && !BigDecimal::of($asked)->isEqualTo($line->price ?? '0') ? $asked : null;
    }

    public function line(string $key, string $quantity, bool $optional = false, string $instead = '', string $from = ''): QuoteLine
    {
        return new QuoteLine(
            $key,
            $this->code,
            $this->name,
            $this->text,
            $quantity,
            $this->unit,
            $this->priceFor($quantity),
            null,
            null,
            $this->vat,
            $this->group,
            $optional,
            false,
            $instead,
            $from,
        );
    }
}
