<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Record\Action;
use Telamon\Record\Journaled;

/** One record as a change wrote it. */
final readonly class WrittenRecord
{
    /**
     * @param array<string, mixed> $before by property; empty for a new record
     * @param array<string, mixed> $after by property; empty for a removed one
     */
    public function __construct(public Journaled $record, public string $id, public Action $action, public array $before, public array $after)
    {
    }
}
