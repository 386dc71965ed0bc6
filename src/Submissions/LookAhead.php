<?php

declare(strict_types=1);

namespace Telamon\Submissions;

/** Asks the worker to look at a submission that came: what is there to decide, and does it need anybody at all? */
final readonly class LookAhead
{
    public function __construct(public string $submissionId)
    {
    }
}
