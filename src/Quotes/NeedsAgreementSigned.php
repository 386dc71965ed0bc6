<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Project;
use Telamon\Projects\StageNeed;

final readonly class NeedsAgreementSigned implements StageNeed
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function key(): string
    {
        return 'agreement';
    }

    public static function words(): string
    {
        return 'the agreement signed';
    }

    public function isMet(Project $project): bool
    {
        return null !== $this->em->getRepository(Agreement::class)->findOneBy(['project' => $project, 'state' => AgreementState::Signed]);
    }
}
