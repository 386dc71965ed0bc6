<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use Brick\Math\BigDecimal;

/**
 * Reads amounts as people write them: “€1.250,00”, “1,250”, “about 500”, “500 to 600”, “1.5k”.
 *
 * Which sign parts the thousands is told by the figures themselves: the last of two different signs is the decimal
 * one; a single sign before three figures parts thousands, as no common currency is written with three places
 * (ISO 4217 has a few with three; common practice in the trade is two).
 */
final class AmountReader
{
    private const CURRENCIES = [
        '€' => 'EUR',
        '£' => 'GBP',
        '$' => 'USD',
        'euro' => 'EUR',
        'euros' => 'EUR',
        'eur' => 'EUR',
        'gbp' => 'GBP',
        'pounds' => 'GBP',
        'pound' => 'GBP',
        'usd' => 'USD',
        'dollars' => 'USD',
        'chf' => 'CHF',
    ];
    private const ROUGH = '/\b(?:about|around|roughly|approximately|approx|circa|ca|some|up to|at most|no more than|max|maximum|under|below|less than|from|at least|min|minimum|over|more than|or so|ish|maybe|perhaps)\b\.?|[~≈<>]/iu';
    private const FIGURES = '(?<![\p{L}\d.,])(\d{1,3}(?:[ \x{a0}\x{202f}\'’]\d{3})+(?:[.,]\d{1,2})?|\d[\d.,]*\d|\d)(?:,-|\.-|,–)?\s?(k|thousand)?(?![\p{L}\d])';

    /** @return Amount|null null where no amount, or more than a span of two, was written */
    public function read(string $text): ?Amount
    {
        $text = trim($text);
        if ('' === $text || mb_strlen($text) > 100 || 1 === preg_match('/^[-−]/u', $text)) {
            return null;
        }
        [$text, $currency] = self::withoutCurrency($text);
        $rough = 1 === preg_match(self::ROUGH, $text);
        $rest = trim((string) preg_replace(self::ROUGH, ' ', $text), " ?!.\u{a0}");
        $found = [];
        if (1 !== preg_match('/^'.self::FIGURES.'(?:\s*(?:-|–|to|and|or|bis)\s*'.self::FIGURES.')?$/iu', (string) preg_replace('/^between\s+/i', '', $rest), $m)) {
            return null;
        }
        foreach ([[$m[1], $m[2] ?? ''], [$m[3] ?? '', $m[4] ?? '']] as [$figures, $thousand]) {
            if ('' !== $figures) {
                $found[] = [self::plain($figures), '' !== $thousand];
            }
        }
        if (\in_array(null, array_column($found, 0), true)) {
            return null;
        }
        // “1 to 2k”: both are thousands.
        $bothThousand = 2 === \count($found) && $found[1][1];
        $values = array_map(static fn (array $one): string => $one[1] || $bothThousand ? self::thousandfold((string) $one[0]) : (string) $one[0], $found);

        return new Amount($values[0], $values[1] ?? '', $currency, $rough || isset($values[1]));
    }

    /** @return array{string, string} the rest, and the ISO 4217 code */
    private static function withoutCurrency(string $text): array
    {
        $currency = '';
        $rest = preg_replace_callback('/[€£$]|(?<=\d|\s|^)(?:euros?|eur|gbp|pounds?|usd|dollars|chf)(?=\d|\s|$|[.,?!-])/iu', static function (array $m) use (&$currency): string {
            $currency = self::CURRENCIES[mb_strtolower($m[0])] ?? '';

            return ' ';
        }, $text);

        return [trim((string) preg_replace('/\s+/u', ' ', (string) $rest)), $currency];
    }

    /** “1.250,00” → “1250.00”; null where the signs make no sense. */
    private static function plain(string $figures): ?string
    {
        $figures = (string) preg_replace('/[ \x{a0}\x{202f}\'’]/u', '', $figures);
        $signs = (string) preg_replace('/\d/', '', $figures);
        if (\strlen($figures) > 30) {
            return null;
        }
        if ('' === $signs) {
            return $figures;
        }
        $last = $signs[-1];
        $other = '.' === $last ? ',' : '.';
        if (str_contains($signs, $other)) {
            // Two kinds of sign: the last one, standing once, is the decimal sign.
            $fits = 1 === substr_count($signs, $last) && 1 === preg_match('/^\d{1,3}(?:'.preg_quote($other, '/').'\d{3})+'.preg_quote($last, '/').'\d+$/', $figures);

            return $fits ? str_replace([$other, $last], ['', '.'], $figures) : null;
        }
        if (1 === preg_match('/^[1-9]\d{0,2}(?:'.preg_quote($last, '/').'\d{3})+$/', $figures)) {
            return str_replace($last, '', $figures);
        }

        return 1 === \strlen($signs) ? str_replace($last, '.', $figures) : null;
    }

    private static function thousandfold(string $value): string
    {
        return (string) BigDecimal::of($value)->multipliedBy(1000)->strippedOfTrailingZeros();
    }
}
