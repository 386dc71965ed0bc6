<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Divides a sum by percents without losing a cent: the largest remainder method. */
final class Shares
{
    /**
     * @param list<BigDecimal> $percents that add up to 100
     *
     * @return list<BigDecimal> each its exact share rounded down, the cents left one each to the largest remainders, of
     *                          equal ones to the earlier; together the whole
     */
    public static function of(BigDecimal $whole, array $percents): array
    {
        $places = $whole->getScale();
        $shares = [];
        $rests = [];
        $left = $whole;
        foreach ($percents as $i => $percent) {
            $exact = $whole->multipliedBy($percent)->withPointMovedLeft(2);
            $shares[$i] = $exact->toScale($places, RoundingMode::Floor);
            $rests[$i] = $exact->minus($shares[$i]);
            $left = $left->minus($shares[$i]);
        }
        $order = array_keys($rests);
        usort($order, static fn (int $a, int $b): int => $rests[$b]->compareTo($rests[$a]) ?: $a <=> $b);
        $cents = $left->getUnscaledValue()->toInt();
        foreach (\array_slice($order, 0, $cents) as $i) {
            $shares[$i] = $shares[$i]->plus(BigDecimal::ofUnscaledValue(1, $places));
        }

        return array_values($shares);
    }
}
