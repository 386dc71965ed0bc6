<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Journal\Change;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;

#[Route('/api/submissions')]
#[IsGranted(Permission::Decide->value)]
final readonly class HandlingController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(private EntityManagerInterface $em, private Handling $handling, private Several $several, private Profile $business, private Records $records)
    {
    }

    #[Route('/{id}/assignee', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function assign(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->answer($this->handling->assign($this->get($id), JsonBody::text(JsonBody::read($request), 'assignee', 36), $staff));
    }

    #[Route('/{id}/reminder', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function remind(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->answer($this->handling->remind($this->get($id), JsonBody::text(JsonBody::read($request), 'remindAt', 40), $staff));
    }

    #[Route('/{id}/notes', requirements: ['id' => self::ID], methods: ['POST'])]
    public function note(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        return $this->answer($this->handling->note($this->get($id), JsonBody::text(JsonBody::read($request), 'text', 2000), $staff), 201);
    }

    #[Route('/{id}/answered', requirements: ['id' => self::ID], methods: ['POST'])]
    public function answered(string $id, #[CurrentUser] Staff $staff): Response
    {
        return $this->answer($this->handling->answered($this->get($id), $staff));
    }

    #[Route('/several', methods: ['POST'])]
    public function several(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->several->do(JsonBody::read($request), $staff));
    }

    private function answer(Change $change, int $status = 200): Response
    {
        return new JsonResponse(['change' => $change->toArray($this->business->zone(), $this->records)], $status);
    }

    private function get(string $id): Submission
    {
        return $this->em->find(Submission::class, $id) ?? throw Problem::notFound('submission');
    }
}
