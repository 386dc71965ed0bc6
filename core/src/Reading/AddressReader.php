<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

/** Takes an address on one line into its parts. What cannot be told apart stays with the house and street. */
final class AddressReader
{
    /** Letters and figures of up to ten signs with a figure among them, or figures alone (common practice of postal codes). */
    private const POSTAL_CODE = '(?=[A-Z0-9 -]*\d)[A-Z0-9]{2,5}(?:[ -]?[A-Z0-9]{2,5})?';

    /** @param string $text “7 Weir Cottages, Marrowby, M09 AB12. Three steps up.” */
    public function read(string $text): PostalAddress
    {
        $text = trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $text));
        // A remark after a full stop is no part of it; the full stop of an abbreviation is.
        $parts = array_values(array_filter(
            array_map(trim(...), explode(',', (preg_split('/(?<=\p{Ll}{4}|\d)\.\s+(?=\p{Lu})/u', rtrim($text, '. '), 2) ?: [''])[0])),
            static fn (string $part): bool => '' !== $part,
        ));
        $country = \count($parts) > 2 && 1 === preg_match('/^[A-Z]{2}$|^(?:Ireland|Éire)$/u', $parts[\count($parts) - 1]) ? array_pop($parts) : '';
        $postalCode = '';
        foreach (array_reverse(array_keys($parts)) as $i) {
            if (0 === $i) {
                break;
            }
            if (1 === preg_match('/^'.self::POSTAL_CODE.'$/i', $parts[$i])) {
                $postalCode = $parts[$i];
                unset($parts[$i]);
                break;
            }
            if (
                1 === preg_match('/^(?:(?<before>'.self::POSTAL_CODE.') )?(?<town>\p{L}[\p{L} .\'-]*?)(?: (?<after>'.self::POSTAL_CODE.'))?$/u', $parts[$i], $m)
                && '' !== ($m['before'].($m['after'] ?? ''))
            ) {
                $postalCode = '' !== $m['before'] ? $m['before'] : ($m['after'] ?? '');
                $parts[$i] = $m['town'];
                break;
            }
        }
        $parts = array_values($parts);
        $locality = \count($parts) > 1 ? array_pop($parts) : '';

        return new PostalAddress(implode(', ', $parts), $locality, $postalCode, $country);
    }
}
