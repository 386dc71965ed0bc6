<?php

declare(strict_types=1);

namespace Telamon\Messages;

/**
 * When a message that could not be handed over is tried again: soon at first, then every hour, for two days. RFC 5321,
 * section 4.5.4.1, asks for 30 minutes between tries and four to five days in all; a client waits less long for a word.
 */
final class RetryTimes
{
    private const WAITS = [60, 120, 300, 600, 1200, 1800];
    private const THEN = 3600;
    private const GIVE_UP = 2 * 86_400;

    /**
     * @param int $tries in vain so far, this one included
     *
     * @return int|null seconds until the next; null where nothing is tried any more
     */
    public static function next(int $tries, \DateTimeImmutable $since, \DateTimeImmutable $now): ?int
    {
        return $now->getTimestamp() - $since->getTimestamp() >= self::GIVE_UP ? null : self::WAITS[$tries - 1] ?? self::THEN;
    }
}
