<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Plan\Effect;
use Telamon\Database\Counter;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Staff\Staff;

/**
 * Opens a project for the client.
 *
 * @implements EffectHandler<OpenProject>
 */
final readonly class OpenProjectHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private Counter $counter, private Profile $business)
    {
    }

    public static function of(): string
    {
        return OpenProject::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof OpenProject);
        $project = new Project(
            $this->counter->next('P'),
            $effect->title,
            $made->the(Client::class),
            $this->em->find(Staff::class, $effect->lead) ?? throw new \LogicException('the plan names staff who are not on file'),
            '' === $effect->stage ? ($this->business->stages()[0] ?? 'Inquiry') : $effect->stage,
            '' === $effect->readyBy ? null : new \DateTimeImmutable($effect->readyBy, new \DateTimeZone('UTC')),
            $effect->notes,
            $made->now,
        );
        $project->openedBy($made->occasion?->id);
        $project->serve($effect->service);
        $project->comesFrom($made->occasion->source ?? '');
        $this->em->persist($project);

        return [$made->add($project)];
    }
}
