<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Effects\PlanHasChanged;

/**
 * Adds to a project that is open.
 *
 * @implements EffectHandler<UseProject>
 */
final readonly class UseProjectHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function of(): string
    {
        return UseProject::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof UseProject);
        $project = $this->em->find(Project::class, $effect->id) ?? throw new PlanHasChanged('The project is there no more.');
        $project->write('notes', $effect->notes);

        return [$made->add($project)];
    }
}
