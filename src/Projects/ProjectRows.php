<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Business\Profile;
use Telamon\Record\RecordRef;

/** Shows projects as lines of lists. */
final readonly class ProjectRows
{
    public function __construct(private Progress $progress, private Profile $business)
    {
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<array<string, mixed>> as ProjectRow in the contract
     */
    public function of(array $projects): array
    {
        $counts = $this->progress->of($projects);
        $zone = $this->business->zone();

        return array_map(static fn (Project $project): array => [
            'id' => $project->id,
            'number' => $project->number,
            'title' => $project->title,
            'client' => RecordRef::of($project->client),
            'stage' => $project->stage,
            'outcome' => $project->outcome->value,
            'lead' => $project->lead->name,
            'service' => $project->service,
            'source' => $project->source,
            'budget' => $project->budget,
            'tags' => $project->tags,
            'readyBy' => $project->readyBy?->format('Y-m-d'),
            'openedOn' => $project->openedAt->setTimezone($zone)->format('Y-m-d'),
            'tasksDone' => $counts[$project->id]['done'] ?? 0,
            'tasks' => $counts[$project->id]['all'] ?? 0,
        ], $projects);
    }
}
