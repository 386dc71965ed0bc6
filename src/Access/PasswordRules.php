<?php

declare(strict_types=1);

namespace Telamon\Access;

use Telamon\Refusal\InvalidInput;

/**
 * What a password has to be: long, and not the obvious. No signs are asked for and none forbidden, and none expires, as
 * NIST SP 800-63B-4, section 3.1.1.2, advises (it asks for 15 characters where a password stands alone and 8 where
 * something else is asked too; 12 is our own between).
 */
final class PasswordRules
{
    private const LEAST = 12;
    private const MOST = 200;

    /**
     * @param list<string> $obvious what somebody would try first: a name, an address
     *
     * @throws InvalidInput
     */
    public static function check(string $field, string $password, array $obvious): void
    {
        $length = mb_strlen($password);
        if ($length < self::LEAST || $length > self::MOST) {
            throw new InvalidInput($field, 'Use '.self::LEAST.' to '.self::MOST.' characters; several words are easy to remember.');
        }
        $plain = mb_strtolower($password);
        foreach ($obvious as $word) {
            if ('' !== $word && str_contains($plain, mb_strtolower($word)) && $length - mb_strlen($word) < 6) {
                throw new InvalidInput($field, 'This is too easy to guess: it is mostly your name or address.');
            }
        }
        if (\count(array_unique(mb_str_split($plain))) < 5) {
            throw new InvalidInput($field, 'This is too easy to guess: it is nearly the same sign again and again.');
        }
        if (CommonPasswords::has($password)) {
            throw new InvalidInput($field, 'This is one of the passwords that are tried first. Take several words that only you would put together.');
        }
    }
}
