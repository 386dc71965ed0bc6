<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** A line of a quote as it is written. Figures are decimals as text. */
final readonly class QuoteLine
{
    /**
     * @param string $key of the line within its quote
     * @param string $code of the price list; empty for a free one
     * @param string $unit UN/ECE Recommendation 20
     * @param string|null $price null while somebody has to price it
     * @param string|null $offPercent, $offAmount
     * @param string $group under whose head it stands
     * @param string $instead key of the line in whose place it may be chosen; empty for none
     * @param string $from the answer that it came from, in words; empty where somebody wrote it
     */
    public function __construct(
        public string $key,
        public string $code,
        public string $name,
        public string $text,
        public string $quantity,
        public string $unit,
        public ?string $price,
        public ?string $offPercent,
        public ?string $offAmount,
        public Vat $vat,
        public string $group,
        public bool $optional,
        public bool $ticked,
        public string $instead,
        public string $from,
    ) {
    }

    public function withTick(bool $ticked): self
    {
        return new self(
            $this->key,
            $this->code,
            $this->name,
            $this->text,
            $this->quantity,
            $this->unit,
            $this->price,
            $this->offPercent,
            $this->offAmount,
            $this->vat,
            $this->group,
            $this->optional,
            $ticked,
            $this->instead,
            $this->from,
        );
    }

    /** @param bool $counts whether it is part of the sums */
    public function priced(bool $counts): PricedLine
    {
        $figure = static fn (?string $text): ?BigDecimal => null === $text ? null : BigDecimal::of($text);

        return new PricedLine(BigDecimal::of($this->quantity), BigDecimal::of($this->price ?? '0'), $figure($this->offPercent), $figure($this->offAmount), $this->vat, $counts);
    }

    /** @return array<string, mixed> as QuoteLine in api/openapi.yaml */
    public function toArray(): array
    {
        return [
            'key' => $this->key, 'code' => $this->code, 'name' => $this->name, 'text' => $this->text, 'quantity' => $this->quantity, 'unit' => $this->unit, 'price' => $this->price,
            'offPercent' => $this->offPercent, 'offAmount' => $this->offAmount, 'vat' => ['category' => $this->vat->category, 'rate' => $this->vat->rate],
            'group' => $this->group, 'optional' => $this->optional, 'ticked' => $this->ticked, 'instead' => $this->instead, 'from' => $this->from,
        ];
    }
}
