<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Project;
use Telamon\Projects\StageNeed;

final readonly class NeedsVisitHeld implements StageNeed
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function key(): string
    {
        return 'visit';
    }

    public static function words(): string
    {
        return 'a visit held';
    }

    public function isMet(Project $project): bool
    {
        return null !== $this->em->getRepository(Appointment::class)->findOneBy(['project' => $project, 'state' => AppointmentState::Held]);
    }
}
