<?php

declare(strict_types=1);

namespace Telamon\Database;

use Symfony\Component\Uid\Uuid;

/** Makes record ids: UUID version 7, so that ids sort by the time they were made. */
final class Ids
{
    public static function next(): string
    {
        return Uuid::v7()->toRfc4122();
    }

    /** The same id for the same words, however often it is asked for: UUID version 5 (RFC 9562). */
    public static function named(string ...$words): string
    {
        return Uuid::v5(Uuid::fromString(Uuid::NAMESPACE_OID), implode("\0", $words))->toRfc4122();
    }
}
