<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Telamon\Record\DomainEvent;
use Telamon\Submissions\Submission;

/** The plan for a submission was carried out. */
final class PlanAccepted extends DomainEvent
{
    public function __construct(public readonly Submission $submission)
    {
    }
}
