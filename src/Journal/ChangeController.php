<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Staff;
use Telamon\Setup\BusinessFacts;

#[Route('/api/changes')]
#[IsGranted('ROLE_FIELD')]
final readonly class ChangeController
{
    public function __construct(private EntityManagerInterface $em, private Undo $undo, private BusinessFacts $facts)
    {
    }

    #[Route('/last', methods: ['GET'])]
    public function last(#[CurrentUser] Staff $staff): Response
    {
        $kinds = array_values(array_filter(ChangeKind::cases(), static fn (ChangeKind $kind): bool => $kind->canBeUndone()));
        $change = $this->em->getRepository(Change::class)->findOneBy(['staff' => $staff, 'undoneAt' => null, 'kind' => $kinds], ['at' => 'DESC', 'id' => 'DESC']);

        return new JsonResponse(['change' => $change?->toArray($this->facts->zone())]);
    }

    #[Route('/{id}/undo', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    #[IsGranted('ROLE_COORDINATOR')]
    public function undo(string $id, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->undo->undo($id, $staff));
    }
}
