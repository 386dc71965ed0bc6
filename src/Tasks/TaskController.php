<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Database\Ids;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/tasks')]
#[IsGranted(Permission::Work->value)]
final readonly class TaskController
{
    public function __construct(
        private EntityManagerInterface $em,
        private TaskView $view,
        private TaskList $list,
        private TaskFinishing $finishing,
        private TaskEditing $editing,
        private Viewer $viewer,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->page($request));
    }

    #[Route('', methods: ['POST'])]
    public function add(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $project = $this->em->find(Project::class, JsonBody::text($body, 'project', 36)) ?? throw Problem::notFound('project');
        $this->refuseOthers($project, $staff);
        $key = IdempotencyKey::of($request);
        $task = $this->editing->add($project, null === $key ? Ids::next() : Ids::named($staff->id, $key, $request->getContent()), new Edit($body), $staff);

        return new JsonResponse($this->view->rows([$task])[0], 201);
    }

    #[Route('/{id}', methods: ['PUT'])]
    public function edit(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $task = $this->em->find(Task::class, $id) ?? throw Problem::notFound('task');
        $this->refuseOthers($task->project, $staff);
        $this->editing->edit($task, new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->rows([$task])[0]);
    }

    /** What an edit, or finishing it now, would move; nothing is kept. */
    #[Route('/{id}/follows', methods: ['POST'])]
    public function follows(string $id, Request $request): Response
    {
        $task = $this->em->find(Task::class, $id) ?? throw Problem::notFound('task');
        $this->viewer->read($task->project);
        $edit = new Edit(JsonBody::read($request));

        return new JsonResponse($this->editing->look($task, $edit, true === $edit->yes('done')));
    }

    #[Route('/{id}', methods: ['DELETE'])]
    public function remove(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $task = $this->em->find(Task::class, $id) ?? throw Problem::notFound('task');
        $this->refuseOthers($task->project, $staff);
        $this->editing->remove($task, $request->query->getInt('version'), $staff);

        return new Response('', 204);
    }

    /** Tasks are changed by whoever leads the project, or any. */
    private function refuseOthers(Project $project, Staff $staff): void
    {
        $this->viewer->read($project);
        if ($project->lead !== $staff && !$this->viewer->may(Permission::LeadAny)) {
            throw new Problem(403, 'Not allowed', 'This project is led by '.$project->lead->name.'.');
        }
    }

    #[Route('/{id}/finish', methods: ['POST'])]
    public function finish(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $task = $this->em->find(Task::class, $id) ?? throw Problem::notFound('task');
        if ($task->assignee !== $staff && !$this->viewer->may(Permission::LeadAny)) {
            throw new Problem(403, 'Not allowed', 'This task belongs to '.$task->assignee->name.'.');
        }
        $version = JsonBody::read($request)['version'] ?? null;
        if (!\is_int($version)) {
            throw Problem::invalid('version', 'Send the version of the task that was looked at.');
        }
        $this->finishing->finish($task, $version, $staff);

        return new JsonResponse($this->view->rows([$task])[0]);
    }
}
