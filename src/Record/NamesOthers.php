<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A row that names other records and is journaled itself in no way, or counts only while it is in use. */
interface NamesOthers
{
    /** Whether what it names is needed by it: an old version of a form is not. */
    public function isInUse(): bool;

    /** What somebody calls it. */
    public function called(): string;
}
