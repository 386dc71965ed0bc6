<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Staff;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Setup\BusinessFacts;

#[Route('/api/changes')]
#[IsGranted('ROLE_FIELD')]
final readonly class ChangeController
{
    public function __construct(private EntityManagerInterface $em, private Undo $undo, private BusinessFacts $facts, private Security $security)
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
    public function undo(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $change = $this->em->find(Change::class, $id);
        if (null !== $change && $change->staff !== $staff && !$this->security->isGranted('ROLE_COORDINATOR')) {
            throw new Problem(403, 'Not allowed', 'Only your own changes can be taken back by you.');
        }

        $all = '' !== $request->getContent() && true === (JsonBody::read($request)['all'] ?? false);

        return new JsonResponse(['change' => $id] + $this->undo->undo($id, $staff, $all));
    }
}
