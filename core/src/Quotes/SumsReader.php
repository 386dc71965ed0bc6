<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** Reads what the sums of a quote are reckoned from, as telamon:quotes:total takes it. Figures are written as text, so that none is rounded on its way. */
final class SumsReader
{
    private const MOST = 5000;
    private const FIGURE = '/^-?\d{1,15}(\.\d{1,12})?$/D';

    /**
     * @param mixed $data as decoded from JSON
     *
     * @throws UnreadableSums
     */
    public function read(mixed $data): Sums
    {
        if (!\is_array($data) || (array_is_list($data) && [] !== $data)) {
            throw new UnreadableSums('Send one object with currency, prices and lines.');
        }
        $prices = $data['prices'] ?? null;
        if ('net' !== $prices && 'gross' !== $prices) {
            throw new UnreadableSums('prices: write net or gross.');
        }
        $lines = [];
        foreach (self::list($data, 'lines', null) as $i => $line) {
            $lines[] = self::line(self::map($line, "lines.$i"), "lines.$i");
        }

        return new Sums(
            Currency::of(\is_string($data['currency'] ?? null) ? $data['currency'] : ''),
            'gross' === $prices,
            $lines,
            self::onWhole($data, 'allowances'),
            self::onWhole($data, 'charges'),
            self::share(self::map($data['deposit'] ?? [], 'deposit'), 'deposit'),
            self::instalments($data),
        );
    }

    /** @param array<array-key, mixed> $line */
    private static function line(array $line, string $at): PricedLine
    {
        $optional = self::yes($line, 'optional', false, $at);
        $ticked = self::yes($line, 'ticked', false, $at);

        return new PricedLine(
            self::figure($line['quantity'] ?? null, "$at.quantity", true),
            self::figure($line['price'] ?? null, "$at.price"),
            self::percent($line['discount_percent'] ?? null, "$at.discount_percent", 100),
            isset($line['discount_amount']) ? self::figure($line['discount_amount'], "$at.discount_amount") : null,
            self::vat($line['vat'] ?? null, "$at.vat"),
            !$optional || $ticked,
        );
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<array{OnWhole, Vat}>
     */
    private static function onWhole(array $data, string $key): array
    {
        $all = [];
        foreach (self::list($data, $key, []) as $i => $one) {
            $one = self::map($one, "$key.$i");
            $all[] = [self::share($one, "$key.$i"), self::vat($one['vat'] ?? null, "$key.$i.vat")];
        }

        return $all;
    }

    /** @param array<array-key, mixed> $one */
    private static function share(array $one, string $at): OnWhole
    {
        return new OnWhole(self::percent($one['percent'] ?? null, "$at.percent", null), isset($one['amount']) ? self::figure($one['amount'], "$at.amount") : null);
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<BigDecimal>
     */
    private static function instalments(array $data): array
    {
        $percents = [];
        foreach (self::list($data, 'instalments', []) as $i => $one) {
            $percents[] = self::percent(
                self::map($one, "instalments.$i")['percent'] ?? null,
                "instalments.$i.percent",
                100,
            ) ?? throw new UnreadableSums("instalments.$i.percent: write a figure as text, such as \"50\".");
        }
        $sum = BigDecimal::sum(BigDecimal::zero(), ...$percents);
        if ([] !== $percents && !$sum->isEqualTo(100)) {
            throw new UnreadableSums("instalments: the percents add up to {$sum->strippedOfTrailingZeros()}, not to 100.");
        }

        return $percents;
    }

    private static function vat(mixed $data, string $at): Vat
    {
        $data = self::map($data, $at);
        $category = $data['category'] ?? null;
        if (!\is_string($category) || !isset(Vat::CATEGORIES[$category])) {
            throw new UnreadableSums("$at.category: write one of ".implode(', ', array_keys(Vat::CATEGORIES)).' (UNCL 5305).');
        }
        $rate = self::percent($data['rate'] ?? null, "$at.rate", null) ?? throw new UnreadableSums("$at.rate: write a figure as text, such as \"13.5\".");

        return new Vat($category, \is_string($data['rate'] ?? null) ? $data['rate'] : (string) $rate);
    }

    private static function percent(mixed $value, string $at, ?int $most): ?BigDecimal
    {
        $percent = null === $value ? null : self::figure($value, $at);
        if (null !== $percent && null !== $most && $percent->isGreaterThan($most)) {
            throw new UnreadableSums("$at: write at most $most.");
        }

        return $percent;
    }

    private static function figure(mixed $value, string $at, bool $negative = false): BigDecimal
    {
        if (\is_int($value)) {
            $value = (string) $value;
        }
        if (!\is_string($value) || 1 !== preg_match(self::FIGURE, $value)) {
            throw new UnreadableSums("$at: write a figure as text, such as \"45.50\".");
        }
        $figure = BigDecimal::of($value);

        return $negative || !$figure->isNegative() ? $figure : throw new UnreadableSums("$at: write no figure below 0.");
    }

    /** @param array<array-key, mixed> $data */
    private static function yes(array $data, string $key, bool $usual, string $at): bool
    {
        $value = $data[$key] ?? $usual;

        return \is_bool($value) ? $value : throw new UnreadableSums("$at.$key: write true or false.");
    }

    /** @return array<array-key, mixed> */
    private static function map(mixed $data, string $at): array
    {
        return \is_array($data) && (!array_is_list($data) || [] === $data) ? $data : throw new UnreadableSums("$at: send an object.");
    }

    /**
     * @param array<array-key, mixed> $data
     * @param list<mixed>|null $usual null where it has to be there
     *
     * @return list<mixed>
     */
    private static function list(array $data, string $key, ?array $usual): array
    {
        $list = $data[$key] ?? $usual;
        if (!\is_array($list) || !array_is_list($list)) {
            throw new UnreadableSums("$key: send a list.");
        }

        return \count($list) <= self::MOST ? $list : throw new UnreadableSums("$key: at most ".self::MOST.' fit.');
    }
}
