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
use Telamon\Http\CsvFile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/projects')]
#[IsGranted(Permission::Work->value)]
final readonly class ProjectController
{
    public function __construct(
        private EntityManagerInterface $em,
        private ProjectList $list,
        private ProjectView $view,
        private StageMoves $moves,
        private ProjectEditing $editing,
        private ProjectExport $export,
        private Viewer $viewer,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->page($request));
    }

    /** What the list shows, as it is narrowed and sorted. */
    #[Route('/export', methods: ['GET'], priority: 1)]
    #[IsGranted(Permission::SeeAll->value)]
    public function export(Request $request): Response
    {
        return CsvFile::download('projects.csv', $this->export->rows($request));
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->viewer->read($this->em->find(Project::class, $id) ?? throw Problem::notFound('project'))));
    }

    #[Route('/{id}', methods: ['PUT'])]
    public function edit(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $project = $this->led($id, $staff);
        $this->editing->edit($project, new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->whole($project));
    }

    #[Route('/{id}/stage', methods: ['POST'])]
    public function move(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $project = $this->led($id, $staff);
        $body = JsonBody::read($request);
        $version = $body['version'] ?? null;
        $this->moves->move(
            $project,
            JsonBody::text($body, 'stage', 40),
            \is_int($version) ? $version : throw Problem::invalid('version', 'Send the version of the project that was looked at.'),
            $staff,
            trim(JsonBody::text($body, 'reason', 200)),
        );

        return new JsonResponse($this->view->whole($project));
    }

    #[Route('/{id}/close', methods: ['POST'])]
    public function close(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $project = $this->led($id, $staff);
        $this->moves->close($project, new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->whole($project));
    }

    #[Route('/{id}/reopen', methods: ['POST'])]
    public function reopen(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $project = $this->led($id, $staff);
        $this->moves->reopen($project, new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->whole($project));
    }

    /** One that whoever asks may change: their own, or any. */
    private function led(string $id, Staff $staff): Project
    {
        $project = $this->em->find(Project::class, $id) ?? throw Problem::notFound('project');

        return $project->lead === $staff || $this->viewer->may(Permission::LeadAny)
            ? $project
            : throw new Problem(403, 'Not allowed', 'This project is led by '.$project->lead->name.'.');
    }
}
