<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Core\Effects\StartFollowUp;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/**
 * Begins a follow-up that a plan names.
 *
 * @implements EffectHandler<StartFollowUp>
 */
final readonly class StartFollowUpHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private Walking $walking)
    {
    }

    public static function of(): string
    {
        return StartFollowUp::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof StartFollowUp);
        $followUp = $this->em->getRepository(FollowUp::class)->findOneBy(['key' => $effect->followUp, 'on' => true]);
        $project = $made->find(Project::class);
        if (null !== $project && null === $project->asset) {
            // The first letter names what it is about, before the plan has put the two together.
            $project->isAbout($made->find(Asset::class));
        }
        $run = null === $followUp ? null : $this->walking->begin($followUp, $made->the(Client::class), $project, $made->occasion?->id, $effect->by);

        return null === $run ? [] : [$run];
    }
}
