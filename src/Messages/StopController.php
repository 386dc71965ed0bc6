<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Business\PublicFace;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Http\JsonBody;
use Telamon\Http\PlainPage;
use Telamon\Http\Problem;
use Telamon\Http\PublicLimits;
use Telamon\Http\Query;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Asking to be left alone: by the signed link of a mail, and by hand on a client's page. */
final readonly class StopController
{
    public function __construct(
        private EntityManagerInterface $em,
        private Stops $stops,
        private SignedAddresses $addresses,
        private Changes $changes,
        private Profile $business,
        private PublicLimits $limits,
        private PlainPage $page,
        private PublicFace $face,
    ) {
    }

    /** Looking at the page stops nothing: mail programs look ahead. */
    #[Route('/stop/{link}', methods: ['GET'], priority: -5)]
    public function page(string $link, Request $request): Response
    {
        return $this->shown($link, false);
    }

    /** Pressed on the page, or by a mail program by itself (RFC 8058). */
    #[Route('/stop/{link}', methods: ['POST'], priority: -5)]
    public function stop(string $link, Request $request): Response
    {
        $this->limits->submission($request);
        $address = $this->addresses->recipientOf($link);
        if (null !== $address && !$this->stops->has($address)) {
            $client = $this->em->getRepository(ContactPoint::class)->findOneBy(['kind' => ContactKind::Email, 'value' => $address])?->client;
            $this->changes->carryOut(
                Act::of(ChangeKind::Receive, "$address asked to be left alone")->on(
                    null === $client ? 'business' : 'client',
                    $client->id ?? $this->business->business()->id,
                    $client?->name() ?? $address,
                ),
                fn () => $this->stops->stop($address, $client, 'by the link in a mail', ''),
            );
        }

        return $this->shown($link, true);
    }

    #[Route('/api/stops', methods: ['GET'])]
    #[IsGranted(Permission::Write->value)]
    public function list(Request $request): Response
    {
        $client = $this->client(Query::id($request, 'client') ?? '');
        $stopped = $this->em->getRepository(StoppedAddress::class)->findBy(['address' => Stops::addressesOf($client)], ['at' => 'DESC']);

        return new JsonResponse(['items' => array_map(
            fn (StoppedAddress $one): array => [
                'address' => $one->address,
                'way' => $one->way,
                'words' => $one->words,
                'at' => $one->at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            ],
            $stopped,
        )]);
    }

    /** By hand: they said so on the phone, or want to hear again. */
    #[Route('/api/stops', methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function set(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $client = $this->client(JsonBody::text($body, 'client', 36));
        $stop = true === ($body['stopped'] ?? null);
        $addresses = Stops::addressesOf($client);
        if ([] === $addresses) {
            throw Problem::invalid('client', "{$client->name()} has no mail address and no number.");
        }
        $this->changes->carryOut(Act::of(
            ChangeKind::Handle,
            ($stop ? 'sends nothing unasked to ' : 'may write again to ').$client->name(),
            $staff,
        )->about($client), function () use ($addresses, $client, $stop, $staff): void {
            foreach ($addresses as $address) {
                $stop ? $this->stops->stop($address, $client, "by hand, {$staff->name}", '') : $this->stops->allowAgain($address);
            }
        });

        return new Response('', 204);
    }

    private function client(string $id): Client
    {
        return $this->em->find(Client::class, $id) ?? throw Problem::notFound('client');
    }

    private function shown(string $link, bool $pressed): Response
    {
        $address = $this->addresses->recipientOf($link);

        return $this->page->show(
            'stop.html.twig',
            $this->face->show(),
            ['address' => $address, 'stopped' => null !== $address && ($pressed || $this->stops->has($address))],
            null === $address ? 404 : 200,
        );
    }
}
