<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Told when many records were removed at once, past the entity manager. */
final readonly class RecordsRemoved
{
    /** @param list<string> $ids */
    public function __construct(public array $ids)
    {
    }
}
