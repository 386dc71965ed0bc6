<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/**
 * How a quote is paid: all payments together are its total, to the cent. The deposit is the first of them and is taken off
 * those that follow, the earlier first (common practice: a deposit is paid on account, not on top).
 */
final class Payments
{
    /** @return list<Payment> none where nothing is agreed but that it is paid */
    public static function of(Content $content, Totals $totals): array
    {
        $payments = $totals->deposit->isPositive() ? [new Payment(PaymentKind::Deposit, $content->deposit['percent'], '', $totals->deposit)] : [];
        $paid = $totals->deposit;
        foreach ($content->instalments as $i => $one) {
            $amount = $totals->instalments[$i] ?? BigDecimal::zero();
            $off = BigDecimal::min($paid, $amount);
            $paid = $paid->minus($off);
            // What the deposit has paid already is not asked for again.
            if ($amount->minus($off)->isPositive() || !$off->isPositive()) {
                $payments[] = new Payment(PaymentKind::Instalment, $one['percent'], $one['when'], $amount->minus($off), $off->isPositive());
            }
        }
        $rest = $totals->total->minus($totals->deposit);
        if ([] === $content->instalments && [] !== $payments && $rest->isPositive()) {
            $payments[] = new Payment(PaymentKind::Rest, null, '', $rest);
        }

        return $payments;
    }
}
