<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Record\Records;
use Telamon\Staff\Permission;

#[IsGranted(Permission::Work->value)]
final readonly class JournalController
{
    private const PAGE = 40;

    public function __construct(private EntityManagerInterface $em, private EntryView $view, private Viewer $viewer, private Records $records)
    {
    }

    #[Route('/api/journal', methods: ['GET'])]
    public function list(Request $request): Response
    {
        $query = $this->em->createQueryBuilder()->select('e', 'c', 's')->from(JournalEntry::class, 'e')
            ->join('e.change', 'c')->leftJoin('c.staff', 's')
            // What was written later under an earlier change, like the PDF of a submission, stands with it.
            ->orderBy('c.seq', 'DESC')->addOrderBy('e.seq', 'DESC')->setMaxResults(self::PAGE + 1);
        $record = $request->query->getString('record');
        if ('' !== $record) {
            $query->andWhere('e.recordId = :record OR e.clientId = :record OR e.projectId = :record OR c.submissionId = :record')->setParameter('record', $record);
        }
        if (null !== $this->viewer->projects()) {
            // By the same rule as Viewer::sees(): what belongs to a project with the project, the client's own with the client.
            $query->andWhere('e.projectId IN (:projects) OR (e.projectId IS NULL AND e.clientId IN (:clients) AND e.recordKind IN (:withClient))')
                ->setParameter('projects', $this->viewer->projects())->setParameter('clients', $this->viewer->clients())->setParameter('withClient', $this->records->readWithClient());
        }
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere('c.seq < :change OR (c.seq = :change AND e.seq < :id)')->setParameter('change', (int) $cursor->value)->setParameter('id', (int) $cursor->id);
        }
        /** @var list<JournalEntry> $entries */
        $entries = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($entries, static fn (JournalEntry $entry): Cursor => new Cursor((string) $entry->change->seq, (string) $entry->seq), self::PAGE);

        return new JsonResponse([
            'items' => array_map($this->view->show(...), $page),
            'next' => $next,
        ]);
    }
}
