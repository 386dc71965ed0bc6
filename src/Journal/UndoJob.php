<?php

declare(strict_types=1);

namespace Telamon\Journal;

/** Asks the worker to remove what a change of many records made. */
final readonly class UndoJob
{
    /** @param string $takingId the change that takes it back, and holds the journal of it */
    public function __construct(public string $changeId, public string $takingId)
    {
    }
}
