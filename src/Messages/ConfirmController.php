<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Business\PublicFace;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Http\PlainPage;
use Telamon\Http\Problem;
use Telamon\Http\PublicLimits;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/**
 * An address that came from outside is believed once whoever reads its mail says so: by a link mailed to it. The letter
 * repeats nothing that a stranger wrote, and goes at most once a day.
 */
final readonly class ConfirmController
{
    public const TEMPLATE = 'confirm-address';
    private const PAUSE = '-24 hours';

    public function __construct(
        private EntityManagerInterface $em,
        private SignedAddresses $addresses,
        private MessageQueue $messages,
        private Changes $changes,
        private Viewer $viewer,
        private PublicLimits $limits,
        private PlainPage $page,
        private PublicFace $face,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/api/contact-points/{id}/ask', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function ask(string $id, #[CurrentUser] Staff $staff): Response
    {
        $point = $this->point($id) ?? throw Problem::notFound('address');
        $client = $this->viewer->read($point->client);
        $this->changes->carryOut(Act::of(
            ChangeKind::Handle,
            "asked whether {$point->value} is theirs",
            $staff,
        )->about($client)->looking($point), function () use ($point, $client): void {
            $link = $this->addresses->confirmLink($point);
            match (true) {
                $point->confirmed => throw Problem::invalid('id', 'It is confirmed already.'),
                '' === $link => throw Problem::invalid('id', 'Nobody has said yet under which address Telamon is reached from outside.'),
                $this->wasAsked($point->value) => throw Problem::invalid('id', 'It was asked within the last day. Wait for an answer, or ring them.'),
                default => $this->messages->queue(self::TEMPLATE, $point->value, '', ['link' => $link], $client, null, null, 'asked by hand'),
            };
        });

        return new Response('', 204);
    }

    /** Looking at the page confirms nothing: mail programs look ahead. */
    #[Route('/confirm/{link}', methods: ['GET'], priority: -5)]
    public function page(string $link): Response
    {
        return $this->shown($link);
    }

    #[Route('/confirm/{link}', methods: ['POST'], priority: -5)]
    public function confirm(string $link, Request $request): Response
    {
        $this->limits->submission($request);
        $point = $this->of($link);
        if (null !== $point && !$point->confirmed) {
            $client = $point->client;
            $this->changes->carryOut(Act::of(
                ChangeKind::Receive,
                "{$point->value} was confirmed by the link mailed to it",
            )->about($client)->looking($point), function () use ($point, $link): void {
                // It may have been changed meanwhile; then nobody has confirmed what stands there now.
                if ($this->addresses->isAbout($link, $point)) {
                    $point->confirm();
                }
            });
        }

        return $this->shown($link);
    }

    private function of(string $link): ?ContactPoint
    {
        $id = $this->addresses->confirmed($link);
        $point = null === $id ? null : $this->point($id);

        return null !== $point && $this->addresses->isAbout($link, $point) ? $point : null;
    }

    private function point(string $id): ?ContactPoint
    {
        return $this->em->getRepository(ContactPoint::class)->findOneBy(['id' => $id, 'kind' => ContactKind::Email]);
    }

    private function wasAsked(string $address): bool
    {
        return 0 < (int) $this->em->createQuery(
            'SELECT COUNT(m.id) FROM '.Message::class.' m WHERE m.template = :template AND LOWER(m.toAddress) = :address AND m.queuedAt > :since',
        )
            ->setParameters(['template' => self::TEMPLATE, 'address' => mb_strtolower($address), 'since' => $this->clock->now()->modify(self::PAUSE)])->getSingleScalarResult();
    }

    private function shown(string $link): Response
    {
        $point = $this->of($link);

        return $this->page->show('confirm.html.twig', $this->face->show(), ['address' => $point?->value, 'confirmed' => true === $point?->confirmed], null === $point ? 404 : 200);
    }
}
