<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Effects\SetField;
use Telamon\Effects\FieldWriter;
use Telamon\Effects\Making;
use Telamon\Staff\Staff;

/** Writes single fields of a project. */
final readonly class ProjectFields implements FieldWriter
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
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
            'stage' === $field => $project->moveTo($value, $this->business->stageEnd($value), $made->now),
            'lead' === $field => $project->leadBy($this->em->find(Staff::class, $value) ?? throw new \LogicException('the plan names staff who are not on file')),
            default => $project->write($field, $value),
        };

        return [$project];
    }

    public function tag(array $tags, Making $made): array
    {
        $project = $made->the(Project::class);
        $project->tag($tags);

        return [$project];
    }
}
