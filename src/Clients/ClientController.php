<?php

declare(strict_types=1);

namespace Telamon\Clients;

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
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/clients')]
#[IsGranted(Permission::Work->value)]
final readonly class ClientController
{
    public function __construct(private EntityManagerInterface $em, private ClientList $list, private ClientView $view, private ClientEditing $editing, private Viewer $viewer)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->page($request));
    }

    #[Route('', methods: ['POST'])]
    #[IsGranted(Permission::EditClients->value)]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $key = IdempotencyKey::of($request);
        $id = null === $key ? Ids::next() : Ids::named($staff->id, $key, $request->getContent());
        $client = $this->em->find(Client::class, $id) ?? $this->editing->make($id, new ClientEdit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->whole($client), 201);
    }

    #[Route('/{id}', methods: ['PUT'])]
    #[IsGranted(Permission::EditClients->value)]
    public function edit(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $client = $this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'));
        $this->editing->edit($client, new ClientEdit(JsonBody::read($request)), $staff);

        return new JsonResponse($this->view->whole($client));
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'))));
    }
}
