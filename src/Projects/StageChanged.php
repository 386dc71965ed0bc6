<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Record\DomainEvent;

/** A project stands at another stage. */
final class StageChanged extends DomainEvent
{
    public function __construct(public readonly Project $project, public readonly string $before)
    {
    }
}
