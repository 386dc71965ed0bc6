<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Telamon\Core\Text\Fold;

/** Turns answers into the lines of a quote by the table that the business keeps. What cannot be priced is a line to price. */
final class Pricing
{
    /**
     * @param list<PricingRow> $table in its order
     * @param array<string, Priced> $prices by code
     * @param array<string, Answered> $answers by the key of the question
     * @param Vat $usual of lines that are on no list
     *
     * @return list<QuoteLine> each says which answer it came from
     */
    public function lines(array $table, array $prices, array $answers, string $service, string $serviceName, Vat $usual): array
    {
        $lines = [];
        foreach ($table as $row) {
            if (('' !== $row->service && $row->service !== $service) || !self::holds($row, $answers)) {
                continue;
            }
            $answer = $answers[$row->question] ?? null;
            $from = null === $answer ? ('' === $row->service ? 'any service, always' : "service: $serviceName") : self::said($answer);
            $quantity = $row->quantity;
            if ('' !== $row->count) {
                $counted = $answers[$row->count] ?? null;
                $quantity = null === $counted ? null : self::number($counted->text);
                $from = null === $counted ? $from : self::said($counted);
                // How many was not answered as a number: one, and somebody has to look.
                $from = null === $quantity && null !== $counted ? "$from (how many could not be read)" : $from;
            }
            $key = 'l'.(\count($lines) + 1);
            $price = $prices[$row->code] ?? null;
            $lines[] = null === $price
                ? new QuoteLine(
                    $key,
                    '',
                    '' === $row->code ? mb_substr(null === $answer ? $serviceName : $answer->text, 0, 200) ?: 'To price' : $row->code,
                    '',
                    $quantity ?? '1',
                    'C62',
                    null,
                    null,
                    null,
                    $usual,
                    '',
                    $row->optional,
                    false,
                    '',
                    mb_substr($from, 0, 300),
                )
                : $price->line($key, $quantity ?? '1', $row->optional, from: mb_substr($from, 0, 300));
        }

        return $lines;
    }

    /** @param array<string, Answered> $answers */
    private static function holds(PricingRow $row, array $answers): bool
    {
        if ('' === $row->question) {
            return true;
        }
        $answer = $answers[$row->question] ?? null;
        if (null === $answer || '' === trim($answer->text)) {
            return false;
        }
        $wanted = Fold::text($row->answer);

        return '' === $wanted || \in_array($row->answer, $answer->values, true) || str_contains(' '.Fold::text($answer->text).' ', " $wanted ");
    }

    private static function said(Answered $answer): string
    {
        return "{$answer->wording} {$answer->text}";
    }

    /** @return string|null the one whole number or decimal in a text; null where there is none, or more than one */
    private static function number(string $text): ?string
    {
        return 1 === preg_match_all('/\d+(?:[.,]\d+)?/', $text, $found) && (float) strtr($found[0][0], ',', '.') > 0 && \strlen($found[0][0]) < 8
            ? strtr($found[0][0], ',', '.')
            : null;
    }
}
