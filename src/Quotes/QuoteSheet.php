<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\Payment;
use Telamon\Core\Quotes\PaymentKind;
use Telamon\Core\Quotes\Payments;
use Telamon\Core\Quotes\QuoteLine;
use Telamon\Core\Quotes\Totals;
use Telamon\Core\Quotes\Units;

/** A quote as it is read on paper: lines with their numbers, the sums in words, how it is paid. */
final readonly class QuoteSheet
{
    /** @param string $currency ISO 4217 */
    public function __construct(private Content $content, private Totals $totals, private string $currency)
    {
    }

    /** @return list<array{number: int, head: string, name: string, text: string, quantity: string, price: string, off: string, rate: string, net: string, counts: bool, missing: bool, or: bool, box: string}> */
    public function lines(): array
    {
        $lines = [];
        $group = null;
        foreach ($this->content->lines as $i => $line) {
            $counts = $this->content->counts($line);
            $isChoice = $line->optional || '' !== $line->instead || $this->content->hasAlternative($line->key);
            $lines[] = [
                'number' => $i + 1, 'head' => $line->group === $group ? '' : $line->group, 'name' => $line->name, 'text' => $line->text,
                'quantity' => self::figure($line->quantity).' '.Units::words($line->unit, $line->quantity),
                'price' => null === $line->price ? '' : Money::plain($line->price), 'off' => self::off($line),
                'rate' => self::figure($line->vat->rate).' %', 'net' => null === $line->price
                    ? 'to price'
                    : ($counts ? '' : '(').Money::plain((string) $this->totals->lines[$i]).($counts ? '' : ')'),
                'counts' => $counts, 'missing' => null === $line->price, 'or' => '' !== $line->instead, 'box' => $isChoice ? ($counts ? '☒ ' : '☐ ') : '',
            ];
            $group = $line->group;
        }

        return $lines;
    }

    /** @return list<array{label: string, value: string, total: bool}> */
    public function sums(): array
    {
        $sums = [];
        foreach ($this->content->allowances as $i => $one) {
            $sums[] = ['label' => self::named($one['name'], $one['percent'], 'Off'), 'value' => '−'.Money::plain((string) $this->totals->allowances[$i]), 'total' => false];
        }
        foreach ($this->content->charges as $i => $one) {
            $sums[] = ['label' => self::named($one['name'], $one['percent'], 'On top'), 'value' => Money::plain((string) $this->totals->charges[$i]), 'total' => false];
        }
        $sums[] = ['label' => 'Without VAT', 'value' => Money::plain((string) $this->totals->net), 'total' => false];
        foreach ($this->totals->vat as $one) {
            $sums[] = [
                'label' => 'VAT '.self::figure($one['vat']->rate).' % of '.Money::plain((string) $one['taxable']),
                'value' => Money::plain((string) $one['tax']),
                'total' => false,
            ];
        }
        $sums[] = ['label' => 'Total', 'value' => Money::shown((string) $this->totals->total, $this->currency), 'total' => true];

        return $sums;
    }

    /** @return list<array{label: string, value: string}> */
    public function payments(): array
    {
        return array_map(
            static fn (Payment $one): array => ['label' => self::payment($one), 'value' => Money::plain((string) $one->amount)],
            Payments::of($this->content, $this->totals),
        );
    }

    private static function payment(Payment $one): string
    {
        $share = null === $one->percent ? '' : self::figure($one->percent).' %';

        return match ($one->kind) {
            PaymentKind::Deposit => 'Deposit'.('' === $share ? '' : " of $share").', asked for after your yes',
            PaymentKind::Instalment => $share.('' === $one->when ? '' : ", {$one->when}").($one->isLess ? ', less the deposit' : ''),
            PaymentKind::Rest => 'The rest, when the work is done',
        };
    }

    private static function off(QuoteLine $line): string
    {
        $off = array_filter(
            [null === $line->offPercent ? '' : self::figure($line->offPercent).' % off', null === $line->offAmount ? '' : Money::plain($line->offAmount).' off'],
            static fn (string $words): bool => '' !== $words,
        );

        return implode(', ', $off);
    }

    private static function named(string $name, ?string $percent, string $usual): string
    {
        return ('' === $name ? $usual : $name).(null === $percent ? '' : ', '.self::figure($percent).' %');
    }

    /** “2”, “0.5”, “13.5”: without the zeros that say nothing. */
    private static function figure(string $figure): string
    {
        return str_contains($figure, '.') ? rtrim(rtrim($figure, '0'), '.') : $figure;
    }
}
