<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/projects')]
#[IsGranted(Permission::Work->value)]
final readonly class ProjectController
{
    public function __construct(private EntityManagerInterface $em, private ProjectList $list, private ProjectView $view, private StageMoves $moves, private Viewer $viewer)
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
        return new JsonResponse($this->view->whole($this->viewer->read($this->em->find(Project::class, $id) ?? throw Problem::notFound('project'))));
    }

    #[Route('/{id}/stage', methods: ['POST'])]
    public function move(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $project = $this->em->find(Project::class, $id) ?? throw Problem::notFound('project');
        if ($project->lead !== $staff && !$this->viewer->may(Permission::LeadAny)) {
            throw new Problem(403, 'Not allowed', 'This project is led by '.$project->lead->name.'.');
        }
        $body = JsonBody::read($request);
        $version = $body['version'] ?? null;
        $this->moves->move($project, JsonBody::text($body, 'stage', 40), \is_int($version) ? $version : throw Problem::invalid('version', 'Send the version of the project that was looked at.'), $staff);

        return new JsonResponse($this->view->whole($project));
    }
}
