<?php

declare(strict_types=1);

namespace Telamon\Notices;

/**
 * Signs what is posted, so that whoever gets it knows where it is from. Standard Webhooks specification 1.0: the
 * headers webhook-id, webhook-timestamp and webhook-signature; HMAC-SHA256 (RFC 2104) over id, time and body, with a
 * secret of 24 bytes written as "whsec_" and base64.
 */
final class SignedPost
{
    private const PREFIX = 'whsec_';

    public static function newSecret(): string
    {
        return self::PREFIX.base64_encode(random_bytes(24));
    }

    /**
     * @param string $id the same for every try
     * @param int $at seconds since 1970
     *
     * @return array<string, string> headers by name
     */
    public static function headers(string $secret, string $id, int $at, string $body): array
    {
        $key = base64_decode(substr($secret, \strlen(self::PREFIX)), true);

        return [
            'webhook-id' => $id,
            'webhook-timestamp' => (string) $at,
            'webhook-signature' => 'v1,'.base64_encode(hash_hmac('sha256', "$id.$at.$body", false === $key ? '' : $key, true)),
        ];
    }
}
