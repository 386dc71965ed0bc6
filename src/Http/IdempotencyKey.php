<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\Request;

/** The name a sender gives one sending, so that trying it again is not a second one. */
final class IdempotencyKey
{
    /** @throws Problem where it is longer than 200 characters */
    public static function of(Request $request): ?string
    {
        $key = $request->headers->get('Idempotency-Key');
        if (null !== $key && \strlen($key) > 200) {
            throw Problem::invalid('Idempotency-Key', 'Shorten this to 200 characters.');
        }

        return $key;
    }
}
