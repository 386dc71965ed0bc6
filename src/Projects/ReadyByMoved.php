<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Record\DomainEvent;

/** A project has to be ready by another day. */
final class ReadyByMoved extends DomainEvent
{
    public function __construct(public readonly Project $project, public readonly ?\DateTimeImmutable $before)
    {
    }
}
