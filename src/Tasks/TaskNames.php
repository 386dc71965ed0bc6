<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Projects\Project;

/** What a task of a checklist is called in its project: the item's name with its merge fields filled in. */
final readonly class TaskNames
{
    public function __construct(private TemplateRenderer $renderer)
    {
    }

    public function of(ChecklistItem $item, Project $project): string
    {
        if (!str_contains($item->name, '{{')) {
            return $item->name;
        }
        $name = $this->renderer->subject($item->name, [
            'client' => $project->client->name(), 'asset' => $project->asset->description ?? '', 'service' => $project->title,
            'title' => $project->title, 'project' => $project->number, 'stage' => $project->stage,
            'ready_by' => $project->readyBy?->format('j F') ?? '',
        ]);

        return '' === $name ? $item->name : $name;
    }
}
