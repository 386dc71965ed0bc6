<?php

declare(strict_types=1);

namespace Telamon\Submissions;

/** Asks the worker to put a submission as received, as a PDF, with the project that was made of it. */
final readonly class KeepSheet
{
    /** @param string $changeId of the acceptance, which it belongs to: taken back, it takes the file along */
    public function __construct(public string $changeId, public string $submissionId)
    {
    }
}
