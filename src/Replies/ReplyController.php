<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Replies\Meaning;
use Telamon\Http\Cursor;
use Telamon\Http\JsonBody;
use Telamon\Http\Page;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\IncomingView;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** What came in: looked at, decided. */
#[Route('/api/replies')]
#[IsGranted(Permission::Message->value)]
final readonly class ReplyController
{
    private const ID = '[0-9a-f-]{36}';
    private const MOST_OPEN = 200;

    public function __construct(
        private EntityManagerInterface $em,
        private IncomingView $view,
        private ReplyView $whole,
        private ReplyDeciding $deciding,
        private MailIn $mail,
        private MailFolder $folder,
        private string $mailerDsn,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(Request $request): Response
    {
        $query = $this->em->createQueryBuilder()
            ->select('i', 'c')
            ->from(Incoming::class, 'i')
            ->leftJoin('i.client', 'c')
            ->orderBy('i.receivedAt', 'DESC')
            ->addOrderBy('i.id', 'DESC')
            ->setMaxResults(Page::SIZE + 1);
        $state = Query::oneOf($request, 'state', array_column(IncomingState::cases(), 'value'));
        $client = Query::id($request, 'client');
        $cursor = Cursor::from($request);
        $open = [];
        if (null !== $state) {
            $query->andWhere('i.state = :state')->setParameter('state', $state);
        } elseif (null === $client) {
            // What a person has to read comes first, however old it is; the rest is paged.
            $query->andWhere('i.state <> :open')->setParameter('open', IncomingState::Open->value);
            $open = null === $cursor
                ? $this->em->getRepository(Incoming::class)->findBy(['state' => IncomingState::Open], ['receivedAt' => 'DESC', 'id' => 'DESC'], self::MOST_OPEN)
                : [];
        }
        if (null !== $client) {
            $query->andWhere('i.client = :client')->setParameter('client', $client);
        }
        if (null !== $cursor) {
            $query->andWhere('i.receivedAt < :value OR (i.receivedAt = :value AND i.id < :id)')->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Incoming> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Incoming $one): Cursor => new Cursor($one->receivedAt->format('Y-m-d H:i:s'), $one->id));

        return new JsonResponse([
            'items' => array_map($this->view->row(...), [...$open, ...$page]),
            'next' => $next,
            'open' => $this->em->getRepository(Incoming::class)->count(['state' => IncomingState::Open]),
            'standIn' => str_starts_with($this->mailerDsn, 'mailbox:'),
            'notRead' => $this->folder->notRead(),
        ]);
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function show(string $id): Response
    {
        return new JsonResponse($this->whole->show($this->get($id)));
    }

    #[Route('/{id}/decide', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function decide(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $reply = $this->get($id);
        $says = Meaning::tryFrom(JsonBody::text(JsonBody::read($request), 'says', 10)) ?? throw Problem::invalid(
            'says',
            'Say what it means: yes, no, later, stop, question or other.',
        );
        $this->deciding->decide($reply, $says, $staff);

        return new JsonResponse($this->whole->show($reply));
    }

    #[Route('/{id}/leave', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function leave(string $id, #[CurrentUser] Staff $staff): Response
    {
        $reply = $this->get($id);
        $this->deciding->leave($reply, $staff);

        return new JsonResponse($this->whole->show($reply));
    }

    #[Route('/{id}/arrival', requirements: ['id' => self::ID], methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function arrive(string $id, #[CurrentUser] Staff $staff): Response
    {
        $reply = $this->get($id);
        $this->mail->makeArrival($reply, $staff);

        return new JsonResponse($this->whole->show($reply));
    }

    /** The mail as it came. */
    #[Route('/{id}/eml', requirements: ['id' => self::ID], methods: ['GET'])]
    public function eml(string $id): Response
    {
        $reply = $this->get($id);

        return new Response($this->mail->raw($reply) ?? throw Problem::notFound('mail'), 200, [
            'Content-Type' => 'message/rfc822',
            'Content-Disposition' => HeaderUtils::makeDisposition('attachment', "{$reply->id}.eml"),
        ]);
    }

    private function get(string $id): Incoming
    {
        return $this->em->find(Incoming::class, $id) ?? throw Problem::notFound('message');
    }
}
