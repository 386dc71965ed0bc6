<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use Egulias\EmailValidator\EmailValidator;
use Egulias\EmailValidator\Validation\NoRFCWarningsValidation;

/** Reads mail addresses (RFC 5321, RFC 5322, RFC 6531). */
final readonly class EmailReader
{
    /** The address trimmed, its domain in small letters; null where it is none. */
    public function read(string $text): ?string
    {
        $text = trim($text);
        if (null !== $this->fault($text)) {
            return null;
        }
        $at = (int) strrpos($text, '@');

        return substr($text, 0, $at).'@'.mb_strtolower(substr($text, $at + 1));
    }

    /** The form under which two spellings of one mailbox meet: small letters throughout (common practice). */
    public function key(string $address): string
    {
        return mb_strtolower(trim($address));
    }

    /**
     * What is wrong with the text as a mail address, in words, or null. Comments, quotes and the signs that mean something
     * in an address of a web page or of a mail program are refused, though RFC 5322 knows ways to write them.
     */
    public function fault(string $text): ?string
    {
        $text = trim($text);
        $at = strrpos($text, '@');
        if (false === $at) {
            return 'An email address has an @ in it, like name@example.com.';
        }
        $domain = substr($text, $at + 1);
        if ('' === $domain || 0 === $at) {
            return '' === $domain ? 'Add what comes after the @, such as example.com.' : 'Add what comes before the @.';
        }
        if (!str_contains($domain, '.')) {
            return 'Add the ending, such as .com.';
        }
        if (\strlen($text) > 254 || !(new EmailValidator())->isValid($text, new NoRFCWarningsValidation()) || 1 === preg_match('/[\x00-\x20?&%"()<>\[\]:;,\\\\]/', $text)) {
            return 'That is not an email address. Check for blanks and stray signs.';
        }

        return null;
    }
}
