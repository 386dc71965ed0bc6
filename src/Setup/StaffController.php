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
use Telamon\Business\Absence;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Who is here and what they may do. */
#[Route('/api/setup/staff')]
#[IsGranted(Permission::SetUp->value)]
final readonly class StaffController
{
    public function __construct(private EntityManagerInterface $em, private StaffChanges $changes, private AbsenceChanges $absences, private SetupView $view)
    {
    }

    #[Route('', methods: ['POST'])]
    public function add(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $edit = new Edit(JsonBody::read($request));
        [$one, $password] = $this->changes->add($edit, $staff);
        if (true === $edit->yes('invite')) {
            $this->changes->invite($one, $staff);

            return $this->withPassword($one, '', $staff, 201);
        }

        return $this->withPassword($one, $password, $staff, 201);
    }

    #[Route('/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->change($this->one($id), new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->show($staff));
    }

    #[Route('/{id}/password', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function password(string $id, #[CurrentUser] Staff $staff): Response
    {
        $one = $this->one($id);

        return $this->withPassword($one, $this->changes->newPassword($one, $staff), $staff, 200);
    }

    #[Route('/{id}/leaving', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function leave(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->leave($this->one($id), (new Edit(JsonBody::read($request)))->text('handTo', 36) ?? '', $staff);

        return new JsonResponse($this->view->show($staff));
    }

    #[Route('/{id}/absences', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function away(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->absences->add($this->one($id), new Edit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->show($staff), 201);
    }

    #[Route('/{id}/absences/{absence}', requirements: ['id' => '[0-9a-f-]{36}', 'absence' => '[0-9a-f-]{36}'], methods: ['DELETE'])]
    public function back(string $id, string $absence, #[CurrentUser] Staff $staff): Response
    {
        $this->absences->remove($this->em->getRepository(Absence::class)->findOneBy(['id' => $absence, 'staff' => $this->one($id)]) ?? throw Problem::notFound('absence'), $staff);

        return new JsonResponse($this->view->show($staff));
    }

    #[Route('/{id}/invitation', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function invite(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->invite($this->one($id), $staff);

        return new JsonResponse($this->view->show($staff));
    }

    private function one(string $id): Staff
    {
        return $this->em->find(Staff::class, $id) ?? throw Problem::notFound('member of staff');
    }

    private function withPassword(Staff $one, string $password, Staff $by, int $status): Response
    {
        $response = new JsonResponse(['setup' => $this->view->show($by), 'password' => $password, 'email' => $one->email], $status);
        $response->headers->set('Cache-Control', 'no-store');

        return $response;
    }
}
