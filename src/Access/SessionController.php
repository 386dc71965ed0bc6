<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/session')]
final readonly class SessionController
{
    public function __construct(private SessionView $view, private Security $security)
    {
    }

    /** Reached only when the firewall saw no sign-in in the request: the body was no JSON object. */
    #[Route('', name: 'api_session_create', methods: ['POST'])]
    public function create(): Response
    {
        return (new Problem(400, 'Not a sign-in', 'Send {"email": …, "password": …} as JSON.'))->response();
    }

    #[Route('', methods: ['GET'])]
    #[IsGranted(Permission::Work->value)]
    public function show(#[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->show($staff));
    }

    #[Route('', methods: ['DELETE'])]
    #[IsGranted(Permission::Work->value)]
    public function delete(): Response
    {
        $this->security->logout(false);

        return new Response('', 204);
    }
}
