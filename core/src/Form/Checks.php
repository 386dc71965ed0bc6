<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What an answer must fit beyond its kind. */
final readonly class Checks
{
    /**
     * @param string $min least number; or earliest day, ISO 8601 or “today+3”; empty for none
     * @param string $max most, likewise
     * @param string $pattern regular expression that the whole answer must fit; empty for none
     * @param string $message what to say when it does not
     * @param int $minLength least number of characters
     */
    public function __construct(public string $min = '', public string $max = '', public string $pattern = '', public string $message = '', public int $minLength = 0)
    {
    }

    /** A bound on days as one day, ISO 8601; null where there is none. */
    public static function day(string $bound, \DateTimeImmutable $today): ?string
    {
        if (1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $bound)) {
            return $bound;
        }

        return 1 === preg_match('/^today(?:([+-])(\d{1,4}))?$/', $bound, $m)
            ? (new \DateTimeImmutable($today->format('Y-m-d'), new \DateTimeZone('UTC')))->modify(($m[1] ?? '+').($m[2] ?? '0').' days')->format('Y-m-d')
            : null;
    }
}
