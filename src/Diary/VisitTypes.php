<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;

/** Finds kinds of visit. */
final readonly class VisitTypes
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @param string $slug ending of its address */
    public function live(string $slug): ?VisitType
    {
        return $this->em->getRepository(VisitType::class)->findOneBy(['slug' => $slug, 'live' => true]);
    }
}
