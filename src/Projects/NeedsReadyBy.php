<?php

declare(strict_types=1);

namespace Telamon\Projects;

final readonly class NeedsReadyBy implements StageNeed
{
    public static function key(): string
    {
        return 'ready-by';
    }

    public static function words(): string
    {
        return 'a day it has to be ready by';
    }

    public function isMet(Project $project): bool
    {
        return null !== $project->readyBy;
    }
}
