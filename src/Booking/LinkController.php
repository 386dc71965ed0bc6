<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Clients\Client;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Links by which a client on file chooses a time. */
final readonly class LinkController
{
    public function __construct(private EntityManagerInterface $em, private BookingPages $pages, private BookingLinks $links, private OfferMails $offers, private Changes $changes)
    {
    }

    #[Route('/api/diary/links', methods: ['POST'])]
    #[IsGranted(Permission::KeepDiary->value)]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $page = $this->pages->page(JsonBody::text($body, 'page', 60));
        $project = $this->em->find(Project::class, JsonBody::text($body, 'project', 36));
        $client = $project->client ?? $this->em->find(Client::class, JsonBody::text($body, 'client', 36)) ?? throw Problem::invalid('client', 'Choose a client or a project.');
        $address = $this->links->pageAddress($page->slug, null === $project ? $this->links->forClient($client) : $this->links->forProject($project));
        $sent = false;
        if (true === ($body['send'] ?? false)) {
            $sent = $this->changes->carryOut(
                Act::of(ChangeKind::Edit, "offered times to {$client->name()}", $staff),
                fn (): bool => null !== $this->offers->send($client, $project, $page->title, $address),
            );
        }

        return new JsonResponse(['address' => $address, 'sent' => $sent], 201);
    }
}
