<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\Request;

/** Reads search parameters of lists. */
final class Query
{
    /**
     * The words looked for in small letters, ready for LIKE with ESCAPE '\'.
     *
     * @return list<string> at most six
     */
    public static function words(Request $request): array
    {
        $q = mb_strtolower(mb_substr(mb_scrub($request->query->getString('q')), 0, 100));
        $words = preg_split('/[\s,]+/u', $q, -1, \PREG_SPLIT_NO_EMPTY) ?: [];

        return array_map(static fn (string $word): string => '%'.addcslashes($word, '\\%_').'%', \array_slice($words, 0, 6));
    }

    /** @return string|null id of a record that the list is of; null for all */
    public static function id(Request $request, string $key): ?string
    {
        $value = $request->query->getString($key);

        return '' === $value ? null : (1 === preg_match('/^[0-9a-f-]{36}$/D', $value) ? $value : throw Problem::invalid($key, 'This is no id.'));
    }

    /**
     * @param list<string> $allowed
     *
     * @throws Problem 422 when the value is not allowed
     */
    public static function oneOf(Request $request, string $key, array $allowed): ?string
    {
        $value = $request->query->getString($key);

        return match (true) {
            '' === $value => null,
            \in_array($value, $allowed, true) => $value,
            default => throw Problem::invalid($key, 'Choose one of: '.implode(', ', $allowed).'.'),
        };
    }
}
