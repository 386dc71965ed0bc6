<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskView;

/** What comes next for a client, once their work is done. */
#[IsGranted(Permission::Work->value)]
final readonly class CareController
{
    public function __construct(private EntityManagerInterface $em, private TaskView $view, private Viewer $viewer)
    {
    }

    #[Route('/api/clients/{id}/next', methods: ['GET'])]
    public function next(string $id): Response
    {
        $client = $this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'));
        /** @var list<Task> $tasks */
        $tasks = $this->em->createQueryBuilder()
            ->select('t', 'p', 'c')
            ->from(Task::class, 't')
            ->join('t.project', 'p')
            ->join('p.client', 'c')
            ->where('p.client = :client')
            ->andWhere('t.item LIKE :care')
            ->andWhere('t.finishedAt IS NULL')
            ->setParameter('client', $client)->setParameter('care', RepeatingCare::ITEM.'%')->orderBy('t.due')->setMaxResults(50)->getQuery()->getResult();

        return new JsonResponse(['items' => $this->view->rows(array_values(array_filter($tasks, fn (Task $task): bool => $this->viewer->sees($task->project))))]);
    }
}
