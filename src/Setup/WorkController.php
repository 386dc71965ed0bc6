<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Service;
use Telamon\Business\Stage;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** What the business does: its services, the stages of a project, and tags. */
#[Route('/api/setup')]
#[IsGranted(Permission::SetUp->value)]
final readonly class WorkController
{
    public function __construct(
        private EntityManagerInterface $em,
        private ServiceChanges $services,
        private StageChanges $stages,
        private TagChanges $tags,
        private SetupView $view,
    ) {
    }

    #[Route('/services', methods: ['POST'])]
    public function addService(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->services->add(new Edit(JsonBody::read($request)), $staff);

        return $this->answer($staff, 201);
    }

    #[Route('/services/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    public function changeService(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->services->change($this->em->find(Service::class, $id) ?? throw Problem::notFound('service'), new Edit(JsonBody::read($request)), $staff);

        return $this->answer($staff);
    }

    #[Route('/stages', methods: ['POST'])]
    public function addStage(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->stages->add(new Edit(JsonBody::read($request)), $staff);

        return $this->answer($staff, 201);
    }

    #[Route('/stages/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    public function changeStage(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->stages->change($this->stage($id), new Edit(JsonBody::read($request)), $staff);

        return $this->answer($staff);
    }

    #[Route('/stages/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['DELETE'])]
    public function removeStage(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->stages->remove($this->stage($id), $request->query->getString('to'), $staff);

        return $this->answer($staff);
    }

    #[Route('/tags', methods: ['PUT'])]
    public function renameTag(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->tags->rename(new Edit(JsonBody::read($request)), $staff);

        return $this->answer($staff);
    }

    #[Route('/tags', methods: ['DELETE'])]
    public function removeTag(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->tags->remove($request->query->getString('tag'), $staff);

        return $this->answer($staff);
    }

    private function stage(string $id): Stage
    {
        return $this->em->find(Stage::class, $id) ?? throw Problem::notFound('stage');
    }

    private function answer(Staff $staff, int $status = 200): Response
    {
        return new JsonResponse($this->view->show($staff), $status);
    }
}
