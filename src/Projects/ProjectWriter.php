<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\BusinessFacts;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Database\Counter;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\LastTouch;
use Telamon\Effects\Making;
use Telamon\Http\Problem;
use Telamon\Staff\Staff;

/** Opens a project, or adds to one. */
final readonly class ProjectWriter implements EffectHandler, LastTouch
{
    public function __construct(private EntityManagerInterface $em, private Counter $counter, private BusinessFacts $facts)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::OpenProject, EffectKind::UseProject];
    }

    public function write(Effect $effect, Making $made): array
    {
        return [$made->add(EffectKind::OpenProject === $effect->kind ? $this->open($effect, $made) : $this->use($effect))];
    }

    /** The asset is known only after the project's line; they are joined once both are there. */
    public function finish(Making $made): void
    {
        $project = $made->find(Project::class);
        if (null !== $project) {
            $project->asset ??= $made->find(Asset::class);
        }
    }

    private function open(Effect $effect, Making $made): Project
    {
        $readyBy = $effect->text('ready_by');
        $project = new Project(
            $this->counter->next('P'),
            $effect->text('title'),
            $made->the(Client::class),
            $this->em->find(Staff::class, $effect->text('lead')) ?? throw new \LogicException('the plan names staff who are not on file'),
            '' === $effect->text('stage') ? ($this->facts->stages()[0] ?? 'Inquiry') : $effect->text('stage'),
            '' === $readyBy ? null : new \DateTimeImmutable($readyBy, new \DateTimeZone('UTC')),
            $effect->text('notes'),
            $made->now,
        );
        $project->submissionId = $made->occasion?->id;
        $this->em->persist($project);

        return $project;
    }

    /** @throws Problem 409 when it is gone */
    private function use(Effect $effect): Project
    {
        $project = $this->em->find(Project::class, $effect->text('id')) ?? throw new Problem(409, 'The plan has changed', 'The project is there no more.');
        $project->notes = trim("{$project->notes}\n\n{$effect->text('notes')}");

        return $project;
    }
}
