<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;

#[Route('/api/clients')]
#[IsGranted(Permission::Work->value)]
final readonly class ClientController
{
    public function __construct(private EntityManagerInterface $em, private ClientList $list, private ClientView $view, private Viewer $viewer)
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
        return new JsonResponse($this->view->whole($this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'))));
    }
}
