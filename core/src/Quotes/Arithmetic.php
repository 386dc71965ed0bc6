<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/**
 * The sums of a quote by EN 16931: each line rounded once, tax once for each category and rate (BR-CO-10 to BR-CO-17),
 * half up (away from zero). With prices that hold VAT the net is worked back once for each category and rate and the
 * tax is the rest, so that net and tax are the prices shown, to the cent, even where BR-CO-17 would give a cent more or less.
 */
final class Arithmetic
{
    public function of(Sums $sums): Totals
    {
        $places = $sums->currency->places;
        $zero = BigDecimal::zero()->toScale($places);
        $lines = [];
        /** @var array<string, array{vat: Vat, lines: BigDecimal, sum: BigDecimal}> $groups */
        $groups = [];
        foreach ($sums->lines as $line) {
            $lines[] = $net = $line->net($places);
            if ($line->counts) {
                $key = $line->vat->key();
                $groups[$key] ??= ['vat' => $line->vat, 'lines' => $zero, 'sum' => $zero];
                $groups[$key]['lines'] = $groups[$key]['lines']->plus($net);
                $groups[$key]['sum'] = $groups[$key]['sum']->plus($net);
            }
        }
        [$allowances, $charges] = [[], []];
        foreach ($sums->allowances as [$allowance, $vat]) {
            $groups[$vat->key()] ??= ['vat' => $vat, 'lines' => $zero, 'sum' => $zero];
            $allowances[] = $less = $allowance->of($groups[$vat->key()]['lines'], $places);
            $groups[$vat->key()]['sum'] = $groups[$vat->key()]['sum']->minus($less);
        }
        foreach ($sums->charges as [$charge, $vat]) {
            $groups[$vat->key()] ??= ['vat' => $vat, 'lines' => $zero, 'sum' => $zero];
            $charges[] = $more = $charge->of($groups[$vat->key()]['lines'], $places);
            $groups[$vat->key()]['sum'] = $groups[$vat->key()]['sum']->plus($more);
        }
        [$net, $tax] = [$zero, $zero];
        $vat = [];
        foreach ($groups as $group) {
            [$taxable, $due] = $this->taxed($group['sum'], $group['vat'], $sums->gross, $places);
            $vat[] = ['vat' => $group['vat'], 'taxable' => $taxable, 'tax' => $due];
            [$net, $tax] = [$net->plus($taxable), $tax->plus($due)];
        }
        $total = $net->plus($tax);
        $isAsked = null !== $sums->deposit->percent || null !== $sums->deposit->amount;
        $deposit = $isAsked ? BigDecimal::min($sums->deposit->of($total, $places), $total) : $zero;

        return new Totals($lines, $vat, $net, $tax, $total, $deposit, Shares::of($total, $sums->instalments), $allowances, $charges);
    }

    /**
     * @param int<0, max> $places
     *
     * @return array{BigDecimal, BigDecimal} what is taxable, and the tax
     */
    private function taxed(BigDecimal $sum, Vat $vat, bool $gross, int $places): array
    {
        if (!$gross) {
            return [$sum, $sum->multipliedBy($vat->percent)->withPointMovedLeft(2)->toScale($places, RoundingMode::HalfUp)];
        }
        $taxable = $sum->multipliedBy(100)->dividedBy($vat->percent->plus(100), $places, RoundingMode::HalfUp);

        return [$taxable, $sum->minus($taxable)];
    }
}
