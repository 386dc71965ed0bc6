<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

/** What differs between two revisions of a quote, all of it, in words that the client reads too. */
final class Differences
{
    /** Letters up to which a text is told as it is; beyond, only that it was written anew. */
    private const TOLD = 90;

    /** @return list<string> */
    public static function between(Content $before, Content $after): array
    {
        return [
            ...self::lines($before, $after),
            ...self::whole('Off the whole', $before->allowances, $after->allowances),
            ...self::whole('On top', $before->charges, $after->charges),
            ...self::paying($before, $after),
            ...self::words($before, $after),
        ];
    }

    /** @return list<string> */
    private static function lines(Content $before, Content $after): array
    {
        [$old, $new] = [self::byKey($before), self::byKey($after)];
        $told = [];
        foreach ($new as $key => $line) {
            if (!isset($old[$key])) {
                $told[] = 'New: '.self::line($line);
            } elseif ([] !== ($changed = self::changed($old[$key], $line, $before, $after))) {
                $told[] = "Changed: {$line->name}: ".implode('; ', $changed);
            }
        }
        foreach (array_diff_key($old, $new) as $line) {
            $told[] = 'Gone: '.self::line($line);
        }
        if (array_keys(array_intersect_key($old, $new)) !== array_keys(array_intersect_key($new, $old))) {
            $told[] = 'The lines stand in another order.';
        }

        return $told;
    }

    /** @return list<string> */
    private static function changed(QuoteLine $old, QuoteLine $new, Content $before, Content $after): array
    {
        $sides = static fn (string $what, string $was, string $is): ?string => $was === $is ? null : trim("$what ".('' === $is ? 'none' : $is)).' (before '.('' === $was ? 'none' : $was).')';
        $choice = static fn (QuoteLine $line, Content $in): string => match (true) {
            '' !== $line->instead => 'stands for '.(self::byKey($in)[$line->instead]->name ?? 'another line'),
            $line->optional => 'may be left out',
            default => 'is part of it',
        };
        $counts = static fn (QuoteLine $line, Content $in): string => $in->counts($line) ? 'chosen' : 'not chosen';

        return array_values(array_filter([
            $sides('called', "“{$old->name}”", "“{$new->name}”"),
            $sides('', self::figure($old->quantity).' '.Units::words($old->unit, $old->quantity), self::figure($new->quantity).' '.Units::words($new->unit, $new->quantity)),
            $sides('', null === $old->price ? 'to price' : "{$old->price} each", null === $new->price ? 'to price' : "{$new->price} each"),
            $sides('discount', self::off($old), self::off($new)),
            $sides('VAT', self::vat($old->vat), self::vat($new->vat)),
            $sides('', $choice($old, $before), $choice($new, $after)),
            $choice($old, $before) === $choice($new, $after) ? $sides('', $counts($old, $before), $counts($new, $after)) : null,
            $sides('under', '' === $old->group ? '' : "“{$old->group}”", '' === $new->group ? '' : "“{$new->group}”"),
            self::text('what it says', $old->text, $new->text),
        ], static fn (?string $words): bool => null !== $words));
    }

    /**
     * @param list<array{name: string, percent: string|null, amount: string|null, vat: Vat}> $before
     * @param list<array{name: string, percent: string|null, amount: string|null, vat: Vat}> $after
     *
     * @return list<string>
     */
    private static function whole(string $what, array $before, array $after): array
    {
        $words = static fn (array $one): string => implode(
            ', ',
            array_filter([$one['name'], self::share($one['percent'], $one['amount']), 'VAT '.self::vat($one['vat'])], static fn (string $part): bool => '' !== $part),
        );
        [$old, $new] = [array_map($words, $before), array_map($words, $after)];

        return [
            ...array_map(static fn (string $one): string => 'New, '.lcfirst($what).": $one", array_values(array_diff($new, $old))),
            ...array_map(static fn (string $one): string => 'Gone, '.lcfirst($what).": $one", array_values(array_diff($old, $new))),
        ];
    }

    /** @return list<string> */
    private static function paying(Content $before, Content $after): array
    {
        $deposit = static fn (Content $content): string => self::share($content->deposit['percent'], $content->deposit['amount']);
        $parts = static fn (Content $content): string => implode(
            '; ',
            array_map(static fn (array $one): string => self::figure($one['percent']).' %'.('' === $one['when'] ? '' : ", {$one['when']}"), $content->instalments),
        );
        $told = [];
        foreach (['Deposit' => $deposit, 'Paid in parts' => $parts] as $what => $of) {
            if ($of($before) !== $of($after)) {
                $told[] = "$what: ".('' === $of($after) ? 'none' : $of($after)).' (before: '.('' === $of($before) ? 'none' : $of($before)).')';
            }
        }

        return $told;
    }

    /** @return list<string> */
    private static function words(Content $before, Content $after): array
    {
        $files = static function (Content $content): array {
            $ids = $content->attachments;
            sort($ids);

            return $ids;
        };

        return array_values(array_filter([
            self::text('Words to you', $before->intro, $after->intro), self::text('Terms', $before->terms, $after->terms),
            self::text('Why there is no VAT', $before->reason, $after->reason),
            $files($before) === $files($after) ? null : 'Other files go with it.',
        ], static fn (?string $words): bool => null !== $words));
    }

    private static function text(string $what, string $before, string $after): ?string
    {
        return match (true) {
            $before === $after => null,
            '' === $after => "$what: gone",
            mb_strlen($after) > self::TOLD => "$what: written anew",
            default => "$what: “{$after}”".('' === $before ? '' : (mb_strlen($before) > self::TOLD ? ' (before: longer)' : " (before: “{$before}”)")),
        };
    }

    private static function line(QuoteLine $line): string
    {
        return "{$line->name}, ".self::figure($line->quantity).' × '.($line->price ?? 'to price');
    }

    private static function off(QuoteLine $line): string
    {
        return self::share($line->offPercent, $line->offAmount);
    }

    private static function share(?string $percent, ?string $amount): string
    {
        return implode(
            ' and ',
            array_filter([null === $percent || '' === $percent ? '' : self::figure($percent).' %', $amount ?? ''], static fn (string $words): bool => '' !== $words),
        );
    }

    private static function vat(Vat $vat): string
    {
        return 'S' === $vat->category ? self::figure($vat->rate).' %' : Vat::CATEGORIES[$vat->category].('0' === self::figure($vat->rate) ? '' : ' '.self::figure($vat->rate).' %');
    }

    /** “2”, “0.5”: without the zeros that say nothing. */
    private static function figure(string $figure): string
    {
        return str_contains($figure, '.') ? rtrim(rtrim($figure, '0'), '.') : $figure;
    }

    /** @return array<string, QuoteLine> */
    private static function byKey(Content $content): array
    {
        return array_column(array_map(static fn (QuoteLine $line): array => ['key' => $line->key, 'line' => $line], $content->lines), 'line', 'key');
    }
}
