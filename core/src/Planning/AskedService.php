<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\Reading;

/**
 * Which service an answer means: by its key, which forms store that offer the services; else by its name or key in
 * words, whoever wrote the choice. Case, white space and marks do not count.
 */
final class AskedService
{
    /** Values that a form offers beside services, on purpose. */
    private const NONE = ['other', 'none'];

    /**
     * @param array<string, string> $names of the services that are offered, by key
     *
     * @return string its key; empty where it means none
     */
    public static function of(?Reading $answer, array $names): string
    {
        return null === $answer ? '' : self::key($answer->string(), $answer->text, $names);
    }

    /**
     * @param string $value as a form stores it
     * @param string $words as people read it
     * @param array<string, string> $names of the services that are offered, by key
     */
    public static function key(string $value, string $words, array $names): string
    {
        if (isset($names[$value])) {
            return $value;
        }
        $meant = array_filter(array_unique([self::folded($words), self::folded($value)]), static fn (string $one): bool => '' !== $one);
        foreach ($names as $key => $name) {
            if ([] !== array_intersect($meant, [self::folded($name), self::folded($key)])) {
                return $key;
            }
        }

        return '';
    }

    /**
     * Whether something was answered that is called like no service, and not on purpose.
     *
     * @param array<string, string> $names of the services that are offered, by key
     */
    public static function isAmiss(?Reading $answer, array $names): bool
    {
        return null !== $answer && [] !== $names && '' !== $answer->text && !\in_array($answer->string(), self::NONE, true) && '' === self::of($answer, $names);
    }

    /** @param array<string, string> $names of the services that are offered, by key */
    public static function fits(string $value, string $words, array $names): bool
    {
        return \in_array($value, self::NONE, true) || '' !== self::key($value, $words, $names);
    }

    private static function folded(string $words): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($words)));
    }
}
