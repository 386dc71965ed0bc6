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
    public function __construct(
        private EntityManagerInterface $em,
        private ClientList $list,
        private ClientView $view,
        private ClientEditing $editing,
        private ClientRemoval $removal,
        private SeveralClients $several,
        private ClientExport $export,
        private Viewer $viewer,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        return new JsonResponse($this->list->page($request));
    }

    #[Route('/tags', methods: ['GET'], priority: 1)]
    #[IsGranted(Permission::SeeAll->value)]
    public function tags(): Response
    {
        return new JsonResponse(['items' => $this->several->tags()]);
    }

    #[Route('/export', methods: ['GET'], priority: 1)]
    #[IsGranted(Permission::SeeAll->value)]
    public function export(Request $request): Response
    {
        return $this->export->of($request);
    }

    #[Route('/several', methods: ['POST'], priority: 1)]
    #[IsGranted(Permission::EditClients->value)]
    public function several(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse(['changed' => $this->several->change(new ClientEdit(JsonBody::read($request)), $staff)]);
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

    #[Route('/{id}/archive', methods: ['POST'])]
    #[IsGranted(Permission::EditClients->value)]
    public function archive(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $client = $this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'));
        $edit = new ClientEdit(JsonBody::read($request));
        $this->removal->archive($client, $edit->yes('archived') ?? true, $edit->version(), $staff);

        return new JsonResponse($this->view->whole($client));
    }

    #[Route('/{id}', methods: ['DELETE'])]
    #[IsGranted(Permission::EditClients->value)]
    public function delete(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $client = $this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'));
        $this->removal->delete($client, $request->query->getInt('version'), $staff);

        return new Response('', 204);
    }

    #[Route('/{id}/holds', methods: ['GET'])]
    #[IsGranted(Permission::EditClients->value)]
    public function holds(string $id): Response
    {
        return new JsonResponse(['items' => $this->removal->holds($this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client')))]);
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->viewer->read($this->em->find(Client::class, $id) ?? throw Problem::notFound('client'))));
    }
}
