<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/**
 * JSON in one spelling only, so that the same values are the same bytes everywhere (RFC 8785, JSON Canonicalization
 * Scheme): no white space, keys in the order of their UTF-16 units, as few escapes as there can be. Numbers are whole:
 * what is agreed says sums as text, so the scheme's rules for fractions are never needed and a fraction is refused.
 */
final class CanonicalJson
{
    /** Whole numbers that every reader holds exactly (RFC 7493, I-JSON). */
    private const MOST = 9_007_199_254_740_991;
    private const DEEPEST = 60;

    /**
     * @param mixed $value null, bool, int, string, lists and maps of these; an empty map is a \stdClass
     *
     * @throws NotCanonical where something else is in it
     */
    public static function write(mixed $value, int $depth = 0): string
    {
        if ($depth > self::DEEPEST) {
            throw new NotCanonical('it is too deep');
        }

        return match (true) {
            null === $value, \is_bool($value) => json_encode($value, \JSON_THROW_ON_ERROR),
            \is_int($value) && abs($value) <= self::MOST => (string) $value,
            \is_string($value) => self::text($value),
            \is_array($value) && array_is_list($value) => '['.implode(',', array_map(static fn (mixed $one): string => self::write($one, $depth + 1), $value)).']',
            \is_array($value), $value instanceof \stdClass => self::map((array) $value, $depth),
            default => throw new NotCanonical('only texts, whole numbers, yes and no, lists and maps are written'),
        };
    }

    /**
     * @return mixed as write() takes it: maps are \stdClass
     *
     * @throws NotCanonical where it is no JSON
     */
    public static function read(string $json): mixed
    {
        try {
            return json_decode($json, false, self::DEEPEST + 2, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new NotCanonical('it is no JSON', previous: $error);
        }
    }

    /** @param array<array-key, mixed> $map */
    private static function map(array $map, int $depth): string
    {
        $keys = array_map(strval(...), array_keys($map));
        usort($keys, static fn (string $a, string $b): int => strcmp(self::units($a), self::units($b)));

        return '{'.implode(',', array_map(static fn (string $key): string => self::text($key).':'.self::write($map[$key], $depth + 1), $keys)).'}';
    }

    private static function text(string $text): string
    {
        try {
            return json_encode($text, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_LINE_TERMINATORS);
        } catch (\JsonException $error) {
            throw new NotCanonical('a text in it is no UTF-8', previous: $error);
        }
    }

    /** The 16-bit units of a text, the larger byte first: compared as bytes they are in the scheme's order. */
    private static function units(string $text): string
    {
        return mb_convert_encoding($text, 'UTF-16BE', 'UTF-8');
    }
}
