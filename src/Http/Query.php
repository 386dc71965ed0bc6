<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\Request;

/** Reads search parameters of lists. */
final class Query
{
    /** The words looked for, ready for LIKE with ESCAPE '\'; null where none are given. */
    public static function like(Request $request): ?string
    {
        $q = trim($request->query->getString('q'));

        return '' === $q ? null : '%'.addcslashes(mb_strtolower(mb_substr($q, 0, 100)), '\\%_').'%';
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
