<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Symfony\Component\Intl\Currencies;
use Telamon\Core\Form\Kinds\Money;
use Telamon\Core\Form\Reading;
use Telamon\Core\Reading\AmountReader;

/** An amount that somebody wrote, with the business's currency where they named none: whoever reads “400” elsewhere does not see the form. */
final readonly class MoneyWords
{
    /**
     * @param string $currency ISO 4217, of the business; empty where it is not known
     *
     * @return string as it was written, with the sign before figures and the code behind words (CLDR's English signs)
     */
    public static function of(Reading $reading, string $currency): string
    {
        $amount = $reading->question->type instanceof Money ? (new AmountReader())->read($reading->text) : null;
        if (null === $amount || '' !== $amount->currency || '' === $currency || !Currencies::exists($currency)) {
            return $reading->text;
        }
        $sign = Currencies::getSymbol($currency, 'en');

        return 1 === preg_match('/^\d[\d.,]*$/', $reading->text) && $sign !== $currency ? $sign.$reading->text : "{$reading->text} $currency";
    }
}
