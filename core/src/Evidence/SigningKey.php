<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/**
 * The key with which an installation closes what was signed: Ed25519 (RFC 8032), its seed worked out of the installation's
 * secret by HKDF with SHA-256 (RFC 5869), so that it comes back with every backup. Keys and signatures are hexadecimal, in
 * small letters, as there is one spelling of these.
 */
final readonly class SigningKey
{
    public const ALGORITHM = 'Ed25519';
    private const PURPOSE = 'telamon evidence';

    /**
     * @param non-empty-string $pair secret and public key, as libsodium keeps them
     * @param string $public 64 figures
     */
    private function __construct(private string $pair, public string $public)
    {
    }

    public static function of(string $secret): self
    {
        $pair = sodium_crypto_sign_seed_keypair(hash_hkdf('sha256', $secret, \SODIUM_CRYPTO_SIGN_SEEDBYTES, self::PURPOSE));

        return new self($pair, bin2hex(sodium_crypto_sign_publickey($pair)));
    }

    /** @return string 128 figures */
    public function sign(string $bytes): string
    {
        return bin2hex(sodium_crypto_sign_detached($bytes, sodium_crypto_sign_secretkey($this->pair)));
    }

    /** Whether somebody who holds the key that belongs to this public one has signed these bytes. */
    public static function holds(string $bytes, string $value, string $public): bool
    {
        $raw = static fn (string $figures, int $bytes): string => 1 === preg_match('/^[0-9a-f]+$/D', $figures) && \strlen($figures) === 2 * $bytes ? sodium_hex2bin($figures) : '';
        [$signature, $key] = [$raw($value, \SODIUM_CRYPTO_SIGN_BYTES), $raw($public, \SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES)];

        return '' !== $signature && '' !== $key && sodium_crypto_sign_verify_detached($signature, $bytes, $key);
    }
}
