<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The projects that somebody leads and that are not closed. */
final readonly class ProjectsHandedOver implements HandsOver
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 open project' : "$count open projects";
    }

    public function count(Staff $from): int
    {
        return $this->em->getRepository(Project::class)->count(['lead' => $from, 'closedAt' => null]);
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->em->getRepository(Project::class)->findBy(['lead' => $from, 'closedAt' => null]) as $project) {
            $project->leadBy($to);
        }
    }
}
