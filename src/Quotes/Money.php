<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Brick\Math\BigDecimal;
use Symfony\Component\Intl\Currencies;

/** Sums as they are read. The figures are those of the decimal: none passes through a float. */
final class Money
{
    /** “€1,240.00”, “−€25.55”. */
    public static function shown(string $sum, string $currency): string
    {
        $figure = BigDecimal::of($sum);

        return ($figure->isNegative() ? '−' : '').Currencies::getSymbol($currency, 'en').self::grouped((string) $figure->abs());
    }

    /** “1,240.00”. */
    public static function plain(string $sum): string
    {
        $figure = BigDecimal::of($sum);

        return ($figure->isNegative() ? '−' : '').self::grouped((string) $figure->abs());
    }

    private static function grouped(string $figure): string
    {
        [$whole, $part] = explode('.', $figure) + [1 => ''];

        return strrev(implode(',', str_split(strrev($whole), 3))).('' === $part ? '' : ".$part");
    }
}
