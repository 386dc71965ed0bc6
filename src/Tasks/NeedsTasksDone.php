<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Projects\Project;
use Telamon\Projects\StageNeed;

final readonly class NeedsTasksDone implements StageNeed
{
    public function __construct(private TaskCounts $counts)
    {
    }

    public static function key(): string
    {
        return 'tasks';
    }

    public static function words(): string
    {
        return 'all its tasks done';
    }

    public function isMet(Project $project): bool
    {
        return !$this->counts->isUnderWay($project);
    }
}
