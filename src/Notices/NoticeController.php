<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Database\Ids;
use Telamon\Http\Cursor;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Page;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** The notice board. */
#[IsGranted(Permission::Work->value)]
final readonly class NoticeController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(private EntityManagerInterface $em, private Rooms $rooms, private Board $board, private NoticeView $view, private Viewer $viewer)
    {
    }

    #[Route('/api/notice-rooms', methods: ['GET'])]
    public function rooms(#[CurrentUser] Staff $staff): Response
    {
        $names = $this->view->staffNames();

        return new JsonResponse([
            'items' => array_map(fn (NoticeRoom $room): array => $this->view->room($room, $staff), $this->entered($staff)),
            'staff' => array_map(static fn (string $id, string $name): array => ['value' => $id, 'label' => $name], array_keys($names), $names),
        ]);
    }

    #[Route('/api/notice-rooms', methods: ['POST'])]
    #[IsGranted(Permission::Write->value)]
    public function open(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = $this->edited($request);

        return new JsonResponse($this->view->room($this->rooms->add(new Edit($body), true === ($body['closed'] ?? null), $staff), $staff), 201);
    }

    #[Route('/api/notice-rooms/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    #[IsGranted(Permission::Write->value)]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = $this->edited($request);
        $room = $this->room($id, $staff);
        $this->rooms->change($room, new Edit($body), true === ($body['closed'] ?? null), $staff);

        return new JsonResponse($this->view->room($room, $staff));
    }

    #[Route('/api/notices', methods: ['GET'])]
    public function list(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $room = Query::id($request, 'room');
        $rooms = null === $room ? array_filter($this->entered($staff), static fn (NoticeRoom $one): bool => $one->isFor($staff)) : [$this->room($room, $staff)];
        $query = $this->em->createQueryBuilder()
            ->select('n', 'r', 'c', 'p')
            ->from(Notice::class, 'n')
            ->join('n.room', 'r')
            ->leftJoin('n.client', 'c')
            ->leftJoin('n.project', 'p')
            ->where('n.room IN (:rooms)')
            ->setParameter('rooms', array_values($rooms))
            ->orderBy('n.at', 'DESC')
            ->addOrderBy('n.id', 'DESC')
            ->setMaxResults(Page::SIZE + 1);
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere('n.at < :value OR (n.at = :value AND n.id < :id)')->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Notice> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Notice $one): Cursor => new Cursor($one->at->format('Y-m-d H:i:s'), $one->id));

        return new JsonResponse(['items' => $this->view->notices($page, $staff), 'next' => $next]);
    }

    #[Route('/api/notices', methods: ['POST'])]
    public function write(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $key = IdempotencyKey::of($request);
        $id = null === $key ? Ids::next() : Ids::named($staff->id, $key, $request->getContent());
        $notice = $this->board->write($id, $this->room(JsonBody::text($body, 'room', 36), $staff), \is_string($body['words'] ?? null) ? $body['words'] : '', $staff);

        return new JsonResponse($this->view->notices([$notice], $staff)[0], 201);
    }

    #[Route('/api/notices/seen', methods: ['POST'], priority: 1)]
    public function seen(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $this->board->see((new Edit(JsonBody::read($request)))->texts('notices', 200, 36) ?? [], $staff);

        return new Response('', 204);
    }

    #[Route('/api/notices/{id}/take', requirements: ['id' => self::ID], methods: ['POST'])]
    public function take(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $notice = $this->em->find(Notice::class, $id);
        if (null === $notice || !$notice->room->admits($staff)) {
            throw Problem::notFound('notice');
        }
        $this->board->take($notice, true === (JsonBody::read($request)['taken'] ?? null), $staff);

        return new JsonResponse($this->view->notices([$notice], $staff)[0]);
    }

    /** @return array<array-key, mixed> where a room posts to is not said by everybody who may change it */
    private function edited(Request $request): array
    {
        $body = JsonBody::read($request);

        return $this->viewer->may(Permission::SetUp) ? $body : array_diff_key($body, ['postTo' => '']);
    }

    /** @return list<NoticeRoom> */
    private function entered(Staff $staff): array
    {
        return array_values(array_filter($this->rooms->all(), static fn (NoticeRoom $room): bool => $room->admits($staff)));
    }

    private function room(string $id, Staff $staff): NoticeRoom
    {
        $room = $this->em->find(NoticeRoom::class, $id);

        return null !== $room && $room->admits($staff) ? $room : throw Problem::notFound('room');
    }
}
