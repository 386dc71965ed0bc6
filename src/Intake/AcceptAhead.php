<?php

declare(strict_types=1);

namespace Telamon\Intake;

/** Asks the worker whether a submission that came is accepted without anybody. */
final readonly class AcceptAhead
{
    public function __construct(public string $submissionId)
    {
    }
}
