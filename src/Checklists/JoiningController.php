<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Business\ChecklistTemplate;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Projects\Project;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Checklists added to a project that is under way. */
#[Route('/api/projects/{id}/checklists')]
#[IsGranted(Permission::Work->value)]
final readonly class JoiningController
{
    public function __construct(private EntityManagerInterface $em, private Lists $lists, private Takeover $takeover, private Viewer $viewer)
    {
    }

    #[Route('', methods: ['GET'])]
    public function offered(string $id): Response
    {
        $this->viewer->read($this->project($id));

        return new JsonResponse(['items' => array_map(static fn (ChecklistTemplate $one): array => ['value' => $one->id, 'label' => $one->name], $this->lists->kept())]);
    }

    #[Route('/preview', methods: ['POST'])]
    public function preview(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->takeover->previewOne($this->led($id, $staff), $this->chosen($request)->toChecklist()));
    }

    #[Route('', methods: ['POST'])]
    public function add(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $project = $this->led($id, $staff);
        $list = $this->chosen($request);
        // What was looked at before stays as it was: this is told of what it did.
        $told = $this->takeover->previewOne($project, $list->toChecklist());
        $this->takeover->add($this->project($id), $this->em->find(ChecklistTemplate::class, $list->id) ?? $list, $this->em->find(Staff::class, $staff->id) ?? $staff);

        return new JsonResponse($told);
    }

    private function chosen(Request $request): ChecklistTemplate
    {
        $kept = $this->em->find(ChecklistTemplate::class, JsonBody::text(JsonBody::read($request), 'checklist', 36));

        return null === $kept || $kept->retired ? throw Problem::invalid('checklist', 'Choose a checklist that is there.') : $kept;
    }

    private function led(string $id, Staff $staff): Project
    {
        $project = $this->project($id);
        $this->viewer->read($project);

        return $project->lead === $staff || $this->viewer->may(Permission::LeadAny)
            ? $project
            : throw new Problem(403, 'Not allowed', 'This project is led by '.$project->lead->name.'.');
    }

    private function project(string $id): Project
    {
        return $this->em->find(Project::class, $id) ?? throw Problem::notFound('project');
    }
}
