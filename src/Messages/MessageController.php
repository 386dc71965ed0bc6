<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Clients\Client;
use Telamon\Http\Cursor;
use Telamon\Http\JsonBody;
use Telamon\Http\Page;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/messages')]
#[IsGranted(Permission::Message->value)]
final readonly class MessageController
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageView $view,
        private Ways $ways,
        private Resending $resending,
        private Holding $holding,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        $query = $this->em->createQueryBuilder()->select('m', 'c')->from(Message::class, 'm')->leftJoin('m.client', 'c')
            ->orderBy('m.queuedAt', 'DESC')->addOrderBy('m.id', 'DESC')->setMaxResults(Page::SIZE + 1);
        $state = Query::oneOf($request, 'state', array_column(MessageState::cases(), 'value'));
        if (null !== $state) {
            $query->andWhere('m.state = :state')->setParameter('state', $state);
        }
        foreach (['client', 'project'] as $of) {
            $id = Query::id($request, $of);
            if (null !== $id) {
                $query->andWhere("m.$of = :$of")->setParameter($of, $id);
            }
        }
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere(
                "LOWER(m.subject) LIKE :w$i ESCAPE '\\' OR LOWER(m.toName) LIKE :w$i ESCAPE '\\' OR LOWER(m.toAddress) LIKE :w$i ESCAPE '\\'",
            )->setParameter("w$i", $like);
        }
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere('m.queuedAt < :value OR (m.queuedAt = :value AND m.id < :id)')
                ->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Message> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Message $message): Cursor => new Cursor($message->queuedAt->format('Y-m-d H:i:s'), $message->id));

        return new JsonResponse(['items' => array_map($this->view->row(...), $page), 'next' => $next]);
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->view->whole($this->get($id)));
    }

    /** How long a text is as it would be sent: counted here, as it is when it leaves. */
    #[Route('/length', methods: ['POST'], priority: 1)]
    #[IsGranted(Permission::Write->value)]
    public function length(Request $request): Response
    {
        return new JsonResponse(TemplatePreview::length(mb_substr(JsonBody::text(JsonBody::read($request), 'text', 20_000), 0, 20_000)));
    }

    /** The mail as it went out; where it has not gone out yet, as it would. */
    #[Route('/{id}/eml', methods: ['GET'])]
    public function eml(string $id): Response
    {
        $message = $this->get($id);
        $kept = $this->ways->of($message->channel)->kept($message) ?? throw Problem::notFound('file: it went as plain words');

        return new Response($kept['bytes'], 200, [
            'Content-Type' => $kept['type'],
            'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $kept['name']),
        ]);
    }

    /** By what somebody can be written to, and where. */
    #[Route('/ways', methods: ['GET'], priority: 1)]
    #[IsGranted(Permission::Write->value)]
    public function ways(Request $request): Response
    {
        $id = Query::id($request, 'client');
        $client = null === $id ? null : $this->em->find(Client::class, $id) ?? throw Problem::notFound('client');

        return new JsonResponse(['items' => $this->ways->offered($client)]);
    }

    #[Route('/retry-failed', methods: ['POST'], priority: 1)]
    #[IsGranted(Permission::Write->value)]
    public function retryAll(#[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse(['count' => $this->resending->all($staff)]);
    }

    #[Route('/{id}/retry', methods: ['POST'])]
    public function retry(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $message = $this->get($id);
        $this->resending->again($message, $staff, trim(JsonBody::text(JsonBody::read($request), 'to', 254)));

        return new JsonResponse($this->view->whole($message));
    }

    #[Route('/{id}/fill', methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function fill(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $message = $this->get($id);
        $words = JsonBody::read($request)['words'] ?? null;
        $this->holding->fill($message, \is_array($words) ? $words : [], $staff);

        return new JsonResponse($this->view->whole($message));
    }

    #[Route('/{id}/hold', methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function hold(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $message = $this->get($id);
        true === (JsonBody::read($request)['held'] ?? null) ? $this->holding->hold($message, $staff) : $this->holding->letGo($message, $staff);

        return new JsonResponse($this->view->whole($message));
    }

    #[Route('/{id}/cancel', methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function cancel(string $id, #[CurrentUser] Staff $staff): Response
    {
        $message = $this->get($id);
        $this->holding->cancel($message, $staff);

        return new JsonResponse($this->view->whole($message));
    }

    private function get(string $id): Message
    {
        return $this->em->find(Message::class, $id) ?? throw Problem::notFound('message');
    }
}
