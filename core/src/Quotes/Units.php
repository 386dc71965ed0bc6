<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

/** Units in plain words, by their codes of UN/ECE Recommendation 20 (those a small business prices by; from memory). */
final class Units
{
    /** @var array<string, array{string, string}> one and several */
    public const ALL = [
        'C62' => ['piece', 'pieces'], 'HUR' => ['hour', 'hours'], 'DAY' => ['day', 'days'], 'MIN' => ['minute', 'minutes'],
        'WEE' => ['week', 'weeks'], 'MON' => ['month', 'months'],
        'E48' => ['visit', 'visits'], 'SET' => ['set', 'sets'], 'PR' => ['pair', 'pairs'], 'KMT' => ['km', 'km'], 'MTR' => ['m', 'm'],
        'MTK' => ['m²', 'm²'], 'KGM' => ['kg', 'kg'], 'LTR' => ['l', 'l'], 'LS' => ['lump sum', 'lump sums'],
    ];

    public static function words(string $code, string $quantity): string
    {
        [$one, $several] = self::ALL[$code] ?? [$code, $code];

        return '1' === $quantity ? $one : $several;
    }
}
