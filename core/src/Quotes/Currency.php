<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Symfony\Component\Intl\Currencies;

/** A currency and its minor unit (ISO 4217, list one; the exceptions from memory). */
final readonly class Currency
{
    /** Places of those whose minor unit is not a hundredth. */
    private const PLACES = [
        'BIF' => 0, 'CLP' => 0, 'DJF' => 0, 'GNF' => 0, 'ISK' => 0, 'JPY' => 0, 'KMF' => 0, 'KRW' => 0, 'PYG' => 0, 'RWF' => 0, 'UGX' => 0,
        'UYI' => 0, 'VND' => 0, 'VUV' => 0, 'XAF' => 0, 'XOF' => 0, 'XPF' => 0,
        'BHD' => 3, 'IQD' => 3, 'JOD' => 3, 'KWD' => 3, 'LYD' => 3, 'OMR' => 3, 'TND' => 3,
        'CLF' => 4, 'UYW' => 4,
    ];
    /** Metals, funds and tests: no money that one is asked for. */
    private const NONE = ['XAG', 'XAU', 'XBA', 'XBB', 'XBC', 'XBD', 'XDR', 'XPD', 'XPT', 'XSU', 'XTS', 'XUA', 'XXX'];

    /** @param int<0, max> $places after the point */
    private function __construct(public string $code, public int $places)
    {
    }

    /** @throws UnreadableSums */
    public static function of(string $code): self
    {
        if (1 !== preg_match('/^[A-Z]{3}$/D', $code) || \in_array($code, self::NONE, true) || !Currencies::exists($code)) {
            throw new UnreadableSums('currency: write a code of ISO 4217, such as EUR.');
        }

        return new self($code, self::PLACES[$code] ?? 2);
    }
}
