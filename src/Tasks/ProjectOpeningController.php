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
use Telamon\Database\Ids;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Projects\Project;
use Telamon\Projects\ProjectView;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Projects opened by hand: they come with tasks, so they are opened here. */
#[Route('/api/projects')]
#[IsGranted(Permission::LeadAny->value)]
final readonly class ProjectOpeningController
{
    public function __construct(private EntityManagerInterface $em, private ProjectOpening $opening, private ProjectView $view)
    {
    }

    #[Route('', methods: ['POST'])]
    public function open(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->whole($this->opening->open(self::id($request, $staff, ''), new Edit(JsonBody::read($request)), $staff)), 201);
    }

    #[Route('/{id}/copy', methods: ['POST'])]
    public function copy(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $of = $this->em->find(Project::class, $id) ?? throw Problem::notFound('project');

        return new JsonResponse($this->view->whole($this->opening->copy(self::id($request, $staff, $id), $of, $staff)), 201);
    }

    /** The same sending again gives the same project. */
    private static function id(Request $request, Staff $staff, string $of): string
    {
        $key = IdempotencyKey::of($request);

        return null === $key ? Ids::next() : Ids::named($staff->id, $key, $of.$request->getContent());
    }
}
