<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\InvalidContent;
use Telamon\Core\Quotes\Priced;
use Telamon\Core\Quotes\Units;
use Telamon\Core\Quotes\Vat;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;

/** Reads one price, from a form or from a line of a file; what is wrong is said by field. */
final class PriceReader
{
    /**
     * @param mixed $data as PriceEdit.item in the contract
     * @param string|null $code of the price that is changed; null where it is said
     *
     * @throws Refusal
     */
    public function read(mixed $data, ?string $code): Priced
    {
        $data = \is_array($data) ? $data : [];
        $text = static fn (string $key, int $most): string => \is_string($data[$key] ?? null) ? mb_substr(trim($data[$key]), 0, $most) : '';
        $code ??= $text('code', 40);
        if (1 !== preg_match('/^[A-Za-z0-9][A-Za-z0-9._-]{0,39}$/D', $code)) {
            throw new InvalidInput('item.code', 'A code has letters, figures, dots and hyphens.');
        }
        if ('' === $text('name', 200)) {
            throw new InvalidInput('item.name', 'Say what it is.');
        }
        $unit = '' === $text('unit', 3) ? 'C62' : $text('unit', 3);
        if (!isset(Units::ALL[$unit])) {
            throw new InvalidInput('item.unit', "“{$unit}” is no unit that is known (UN/ECE Recommendation 20).");
        }
        $steps = [];
        foreach (\is_array($data['steps'] ?? null) ? array_values($data['steps']) : [] as $i => $step) {
            $step = \is_array($step) ? $step : [];
            $steps[] = [
                'from' => $this->figure($step['from'] ?? '', "item.steps.$i.from") ?? throw new InvalidInput("item.steps.$i.from", 'Say from how many on.'),
                'price' => $this->figure($step['price'] ?? '', "item.steps.$i.price") ?? throw new InvalidInput("item.steps.$i.price", 'Write a price.'),
            ];
        }

        return new Priced(
            $code,
            $text('name', 200),
            $text('text', 2000),
            $unit,
            $this->figure($data['price'] ?? '', 'item.price'),
            $this->vat($data['vat'] ?? null, 'item.vat'),
            $text('group', 100),
            $steps,
        );
    }

    public function vat(mixed $data, string $at): Vat
    {
        try {
            return ContentReader::vat($data, $at);
        } catch (InvalidContent $error) {
            throw new InvalidInput($at, $error->getMessage());
        }
    }

    public function figure(mixed $value, string $at, ?int $most = null): ?string
    {
        try {
            return ContentReader::figure($value, $at, $most);
        } catch (InvalidContent $error) {
            throw new InvalidInput($at, $error->getMessage());
        }
    }
}
