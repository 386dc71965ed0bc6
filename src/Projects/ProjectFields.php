<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\SetField;
use Telamon\Effects\FieldWriter;
use Telamon\Effects\Making;
use Telamon\Record\Tags;
use Telamon\Staff\Staff;

/** Writes single fields of a project. */
final readonly class ProjectFields implements FieldWriter
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function record(): string
    {
        return 'project';
    }

    public function set(SetField $effect, Making $made): array
    {
        $field = $effect->field;
        $project = $made->the(Project::class);
        $value = $effect->value;
        match (true) {
            'notes' === $field => $project->notes = trim("{$project->notes}\n\n$value"),
            'stage' === $field => $project->stage = mb_substr($value, 0, 40),
            'lead' === $field => $project->lead = $this->em->find(Staff::class, $value) ?? throw new \LogicException('the plan names staff who are not on file'),
            'budget' === $field => $project->budget = mb_substr($value, 0, 200),
            str_starts_with($field, 'custom.') => $project->custom = [substr($field, 7) => $value] + $project->custom,
            default => throw new \LogicException("a project has no field $field"),
        };

        return [$project];
    }

    public function tag(array $tags, Making $made): array
    {
        $project = $made->the(Project::class);
        $project->tags = Tags::with($project->tags, $tags);

        return [$project];
    }
}
