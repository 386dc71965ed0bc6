<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Record\DomainEvent;

/** What a change has written since it was last told of, whoever wrote it. */
final class Written extends DomainEvent
{
    /**
     * @param list<WrittenRecord> $records in the order written
     * @param array<string, true> $made ids of all records that the change has made so far
     */
    public function __construct(public readonly Change $change, public readonly array $records, public readonly array $made)
    {
    }
}
