<?php

declare(strict_types=1);

namespace Telamon\Access;

/**
 * The commonest passwords, which are tried first by whoever guesses (NIST SP 800-63B-4, section 3.1.1.2, asks for such a
 * list). They ship as short digests, made by bench/common-passwords.mjs.
 */
final class CommonPasswords
{
    private const DIGITS = 12;
    /** Signs around a common word that make nothing better of it: “password2026!”. */
    private const AROUND = 6;

    /** @var array<string, true>|null */
    private static ?array $known = null;

    /** Whether it is one of them, one of them again and again, or one with a few figures and signs around. */
    public static function has(string $password): bool
    {
        $plain = mb_strtolower(trim($password));
        $bare = (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $plain);
        $words = [$plain, self::unit($plain)];
        if (mb_strlen($plain) - mb_strlen($bare) <= self::AROUND) {
            array_push($words, $bare, self::unit($bare));
        }
        foreach ($words as $word) {
            if (isset(self::known()[substr(hash('sha256', $word), 0, self::DIGITS)])) {
                return true;
            }
        }

        return false;
    }

    /** What is repeated to make it up: “summer” of “summersummer”. */
    private static function unit(string $text): string
    {
        return 1 === preg_match('/^(.{3,}?)[ \-_.]*(?:\1[ \-_.]*)+$/u', $text, $found) ? $found[1] : $text;
    }

    /** @return array<string, true> */
    private static function known(): array
    {
        return self::$known ??= array_fill_keys(explode("\n", trim((string) file_get_contents(\dirname(__DIR__, 2).'/config/common-passwords.txt'))), true);
    }
}
