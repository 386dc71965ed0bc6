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
}
