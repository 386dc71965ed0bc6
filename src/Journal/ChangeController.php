<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/changes')]
#[IsGranted(Permission::Work->value)]
final readonly class ChangeController
{
    public function __construct(
        private EntityManagerInterface $em,
        private Undo $undo,
        private Redo $redo,
        private Mailed $mailed,
        private Profile $business,
        private Records $records,
        private Viewer $viewer,
    ) {
    }

    #[Route('/last', methods: ['GET'])]
    public function last(#[CurrentUser] Staff $staff): Response
    {
        $kinds = array_values(array_filter(ChangeKind::cases(), static fn (ChangeKind $kind): bool => $kind->canBeUndone()));
        // A change that wrote nothing (the same sending twice, an edit that says what stood there) is none to take back.
        $change = $this->em->createQueryBuilder()->select('c')->from(Change::class, 'c')
            ->where('c.staff = :staff', 'c.undoneAt IS NULL', 'c.kind IN (:kinds)', 'EXISTS (SELECT e.id FROM '.JournalEntry::class.' e WHERE e.change = c)')
            ->orderBy('c.seq', 'DESC')->setMaxResults(1)->setParameter('staff', $staff)->setParameter('kinds', $kinds)->getQuery()->getOneOrNullResult();
        \assert(null === $change || $change instanceof Change);

        return new JsonResponse(['change' => $change?->toArray($this->business->zone(), $this->records)]);
    }

    /** Which change is the newest, whoever made it: screens ask again for what they show once it is another. */
    #[Route('/pulse', methods: ['GET'])]
    public function pulse(): Response
    {
        $newest = $this->em->createQueryBuilder()->select('MAX(c.id)')->from(Change::class, 'c')->getQuery()->getSingleScalarResult();

        return new JsonResponse(['newest' => \is_string($newest) ? $newest : '']);
    }

    #[Route('/{id}/undo', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function undo(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->refuseOthers($id, $staff);
        $body = '' === $request->getContent() ? [] : JsonBody::read($request);
        $this->mailed->askFirst($id, $request);

        return new JsonResponse(['change' => $id] + $this->undo->undo($id, $staff, true === ($body['all'] ?? false), asked: true === ($body['outside'] ?? false)));
    }

    #[Route('/{id}/redo', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function redo(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = '' === $request->getContent() ? [] : JsonBody::read($request);
        $this->refuseOthers($id, $staff);

        return new JsonResponse(['change' => $id] + $this->redo->redo($id, $staff, true === ($body['outside'] ?? false)));
    }

    /** @throws Problem 403 */
    private function refuseOthers(string $id, Staff $staff): void
    {
        $change = $this->em->find(Change::class, $id);
        if (null !== $change && $change->staff !== $staff && !$this->viewer->may(Permission::UndoAny)) {
            throw new Problem(403, 'Not allowed', 'Only your own changes can be taken back by you.');
        }
    }
}
