<?php

declare(strict_types=1);

namespace Telamon\Core\Text;

/** Patterns that the business writes, held to a limit so that none runs for ever. */
final class Pattern
{
    /** PCRE steps: enough for any sensible pattern over a short answer. */
    private const LIMIT = 20_000;

    /** Whether the whole text fits; a pattern that takes too long counts as fitting, so that nobody is locked out. */
    public static function fits(string $pattern, string $text): bool
    {
        return 0 !== @preg_match('/(*LIMIT_MATCH='.self::LIMIT.')(*LIMIT_DEPTH=1000)^(?:'.str_replace('/', '\/', $pattern).')$/u', $text);
    }

    public static function delimited(string $pattern): string
    {
        return '/^(?:'.str_replace('/', '\/', $pattern).')$/u';
    }
}
