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

/** Working on tasks: finishing several, comments, minutes, steps; and what is ahead in a project. */
#[IsGranted(Permission::Work->value)]
final readonly class TaskWorkController
{
    public function __construct(
        private EntityManagerInterface $em,
        private TaskView $view,
        private TaskFinishing $finishing,
        private TaskNotes $notes,
        private TaskDates $dates,
        private Workload $load,
        private Viewer $viewer,
    ) {
    }

    #[Route('/api/tasks/finish', methods: ['POST'], priority: 1)]
    public function several(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $tasks = array_map(fn (string $id): Task => $this->own($id, $staff), (new Edit(JsonBody::read($request)))->texts('tasks', 200, 36) ?? []);
        if ([] === $tasks) {
            throw Problem::invalid('tasks', 'Choose tasks.');
        }
        $this->finishing->several($tasks, $staff);

        return new JsonResponse(['items' => $this->view->rows($tasks)]);
    }

    #[Route('/api/tasks/{id}/notes', methods: ['GET'])]
    public function notes(string $id): Response
    {
        return new JsonResponse(['items' => $this->notes->of($this->seen($id))]);
    }

    #[Route('/api/tasks/{id}/notes', methods: ['POST'])]
    public function write(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $task = $this->seen($id);
        $edit = new Edit(JsonBody::read($request));
        $key = IdempotencyKey::of($request);
        $this->notes->write(
            $task,
            null === $key ? Ids::next() : Ids::named($staff->id, $key, $request->getContent()),
            $edit->text('text', 4000) ?? '',
            $edit->whole('minutes', 0, 1440) ?? 0,
            $staff,
        );

        return new JsonResponse(['items' => $this->notes->of($task)], 201);
    }

    #[Route('/api/tasks/{id}/steps', methods: ['POST'])]
    public function steps(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $task = $this->own($id, $staff);
        $places = JsonBody::read($request)['done'] ?? null;
        if (!\is_array($places) || [] !== array_filter($places, static fn (mixed $place): bool => !\is_int($place))) {
            throw Problem::invalid('done', 'Send the places of the steps that are ticked.');
        }
        /** @var list<int> $places */
        $places = array_values($places);
        $this->notes->tick($task, $places, $staff);

        return new JsonResponse($this->view->rows([$task])[0]);
    }

    #[Route('/api/projects/{id}/schedule', methods: ['GET'])]
    public function schedule(string $id, Request $request): Response
    {
        $project = $this->viewer->read($this->em->find(Project::class, $id) ?? throw Problem::notFound('project'));
        $ahead = $this->dates->ahead($project);
        $byKey = [];
        foreach ($this->em->getRepository(Task::class)->findBy(['project' => $project]) as $task) {
            $byKey[TaskDates::key($task)] = $task->id;
        }
        $tasks = [];
        foreach ($ahead->tasks ?? [] as $one) {
            $tasks[] = ['id' => $byKey[$one->item->key], 'float' => $one->float, 'onChain' => $one->onChain];
        }
        $moved = [];
        $readyBy = (new Edit(['day' => $request->query->getString('readyBy')]))->day('day');
        foreach (null === $readyBy ? [] : $this->dates->moved($project, $readyBy) as ['task' => $task, 'due' => $due]) {
            $moved[] = ['number' => $task->position, 'name' => $task->name, 'was' => $task->due->format('Y-m-d'), 'due' => $due->format('Y-m-d')];
        }

        return new JsonResponse([
            'tasks' => $tasks,
            'shortBy' => $ahead->shortBy ?? 0,
            'verdict' => $ahead?->verdict() ?? '',
            'done' => $ahead?->done->format('Y-m-d'),
            'moved' => $moved,
        ]);
    }

    /** Effort of open tasks by person and week, against the hours that they are there. */
    #[Route('/api/load', methods: ['GET'])]
    public function load(#[CurrentUser] Staff $staff): Response
    {
        // Whoever may not see all sees their own.
        $seesAll = $this->viewer->may(Permission::SeeAll);

        return new JsonResponse(['items' => array_values(array_filter($this->load->ahead(), static fn (array $one): bool => $seesAll || $one['id'] === $staff->id))]);
    }

    private function seen(string $id): Task
    {
        $task = $this->em->find(Task::class, $id) ?? throw Problem::notFound('task');
        $this->viewer->read($task->project);

        return $task;
    }

    private function own(string $id, Staff $staff): Task
    {
        $task = $this->seen($id);

        return $task->assignee === $staff || $this->viewer->may(Permission::LeadAny)
            ? $task
            : throw new Problem(403, 'Not allowed', 'This task belongs to '.$task->assignee->name.'.');
    }
}
