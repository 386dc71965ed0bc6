<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** Reads what a quote says, as QuoteContent in api/openapi.yaml: what is typed into it and what was kept. */
final class ContentReader
{
    private const MOST = 1000;
    private const FEW = 20;
    private const FIGURE = '/^-?\d{1,10}(\.\d{1,6})?$/D';

    /**
     * @param array<array-key, mixed> $data
     *
     * @throws InvalidContent
     */
    public function read(array $data): Content
    {
        $lines = [];
        foreach (self::list($data, 'lines', self::MOST) as $i => $line) {
            $read = $this->line(\is_array($line) ? $line : [], "lines.$i");
            if (isset($lines[$read->key])) {
                throw new InvalidContent("lines.$i", 'Two lines have the same key.');
            }
            $lines[$read->key] = $read;
        }
        foreach (array_values($lines) as $i => $line) {
            $head = $lines[$line->instead] ?? null;
            if ('' !== $line->instead && (null === $head || '' !== $head->instead || $head === $line)) {
                throw new InvalidContent("lines.$i.instead", 'It can stand for a line that is there and stands for none itself.');
            }
        }
        $deposit = \is_array($data['deposit'] ?? null) ? $data['deposit'] : [];

        return new Content(
            array_values($lines), $this->onWhole($data, 'allowances'), $this->onWhole($data, 'charges'),
            ['percent' => self::figure($deposit['percent'] ?? null, 'deposit.percent', 100), 'amount' => self::figure($deposit['amount'] ?? null, 'deposit.amount')],
            $this->instalments($data), self::text($data, 'intro', 'intro', 5000), self::text($data, 'terms', 'terms', 10_000),
            self::text($data, 'reason', 'reason', 300), self::attachments($data),
        );
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<string>
     */
    private static function attachments(array $data): array
    {
        $ids = [];
        foreach (self::list($data, 'attachments', self::FEW) as $id) {
            $ids[] = \is_string($id) && 1 === preg_match('/^[0-9a-f-]{36}$/D', $id) ? $id : throw new InvalidContent('attachments', 'Choose files that are with the project.');
        }

        return array_values(array_unique($ids));
    }

    /** @param array<array-key, mixed> $line */
    private function line(array $line, string $at): QuoteLine
    {
        $name = self::text($line, 'name', "$at.name", 200);
        if ('' === $name) {
            throw new InvalidContent("$at.name", 'Say what it is.');
        }
        $unit = self::text($line, 'unit', "$at.unit", 3);
        $price = $line['price'] ?? null;
        $key = self::text($line, 'key', "$at.key", 36);

        return new QuoteLine(
            '' === $key ? throw new InvalidContent("$at.key", 'A line has a key.') : $key,
            self::text($line, 'code', "$at.code", 40), $name, self::text($line, 'text', "$at.text", 2000),
            self::figure($line['quantity'] ?? '1', "$at.quantity", null, true) ?? throw new InvalidContent("$at.quantity", 'Say how many.'),
            isset(Units::ALL[$unit]) ? $unit : ('' === $unit ? 'C62' : throw new InvalidContent("$at.unit", 'Choose a unit.')),
            null === $price || '' === $price ? null : self::figure($price, "$at.price"),
            self::figure($line['offPercent'] ?? null, "$at.offPercent", 100), self::figure($line['offAmount'] ?? null, "$at.offAmount"),
            self::vat($line['vat'] ?? null, "$at.vat"),
            self::text($line, 'group', "$at.group", 100), true === ($line['optional'] ?? false), true === ($line['ticked'] ?? false),
            self::text($line, 'instead', "$at.instead", 36), self::text($line, 'from', "$at.from", 300),
        );
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<array{name: string, percent: string|null, amount: string|null, vat: Vat}>
     */
    private function onWhole(array $data, string $key): array
    {
        $all = [];
        foreach (self::list($data, $key, self::FEW) as $i => $one) {
            $one = \is_array($one) ? $one : [];
            $read = [
                'name' => self::text($one, 'name', "$key.$i.name", 100),
                'percent' => self::figure($one['percent'] ?? null, "$key.$i.percent", 100),
                'amount' => self::figure($one['amount'] ?? null, "$key.$i.amount"),
                'vat' => self::vat($one['vat'] ?? null, "$key.$i.vat"),
            ];
            if (null === $read['percent'] && null === $read['amount']) {
                throw new InvalidContent("$key.$i.amount", 'Write a share or an amount.');
            }
            $all[] = $read;
        }

        return $all;
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<array{percent: string, when: string}>
     */
    private function instalments(array $data): array
    {
        $all = [];
        foreach (self::list($data, 'instalments', self::FEW) as $i => $one) {
            $one = \is_array($one) ? $one : [];
            $all[] = [
                'percent' => self::figure($one['percent'] ?? null, "instalments.$i.percent", 100) ?? throw new InvalidContent("instalments.$i.percent", 'Write a share in %.'),
                'when' => self::text($one, 'when', "instalments.$i.when", 100),
            ];
        }
        $sum = BigDecimal::sum(BigDecimal::zero(), ...array_map(static fn (array $one): BigDecimal => BigDecimal::of($one['percent']), $all));
        if ([] !== $all && !$sum->isEqualTo(100)) {
            throw new InvalidContent('instalments', "The payments add up to {$sum->strippedOfTrailingZeros()} %, not to 100.");
        }

        return $all;
    }

    public static function vat(mixed $data, string $at): Vat
    {
        $category = \is_array($data) ? $data['category'] ?? null : null;
        if (!\is_string($category) || !isset(Vat::CATEGORIES[$category])) {
            throw new InvalidContent($at, 'Choose a VAT category.');
        }
        $rate = self::figure($data['rate'] ?? null, $at, 100) ?? throw new InvalidContent($at, 'Write the VAT rate in %.');

        return new Vat($category, $rate);
    }

    public static function figure(mixed $value, string $at, ?int $most = null, bool $negative = false): ?string
    {
        if (null === $value || '' === $value) {
            return null;
        }
        $text = \is_string($value) ? str_replace(',', '.', trim($value)) : '';
        if (1 !== preg_match(self::FIGURE, $text)) {
            throw new InvalidContent($at, 'Write a figure, such as 45.50.');
        }
        $figure = BigDecimal::of($text);
        if (!$negative && $figure->isNegative()) {
            throw new InvalidContent($at, 'Write no figure below 0.');
        }

        return null === $most || !$figure->isGreaterThan($most) ? (string) $figure : throw new InvalidContent($at, "Write at most $most.");
    }

    /** @param array<array-key, mixed> $data */
    private static function text(array $data, string $key, string $at, int $most): string
    {
        $text = $data[$key] ?? '';
        if (!\is_string($text) || mb_strlen($text) > $most) {
            throw new InvalidContent($at, "Write at most $most characters.");
        }

        return trim($text);
    }

    /**
     * @param array<array-key, mixed> $data
     *
     * @return list<mixed>
     */
    private static function list(array $data, string $key, int $most): array
    {
        $list = $data[$key] ?? [];
        if (!\is_array($list) || !array_is_list($list)) {
            throw new InvalidContent($key, 'Send a list.');
        }

        return \count($list) <= $most ? $list : throw new InvalidContent($key, "At most $most fit.");
    }
}
