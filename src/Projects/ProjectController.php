<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\Problem;

#[Route('/api/projects')]
#[IsGranted('ROLE_FIELD')]
final readonly class ProjectController
{
    public function __construct(private EntityManagerInterface $em, private ProjectList $list, private ProjectView $view)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->page($request));
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->em->find(Project::class, $id) ?? throw Problem::notFound('project')));
    }
}
