<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** What a room has posted, and what came of it. */
#[IsGranted(Permission::SetUp->value)]
final readonly class PostController
{
    private const SHOWN = 50;

    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    #[Route('/api/notice-rooms/{id}/posts', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['GET'])]
    public function list(string $id, #[CurrentUser] Staff $staff): Response
    {
        $room = $this->em->find(NoticeRoom::class, $id);
        if (null === $room || !$room->admits($staff)) {
            throw Problem::notFound('room');
        }
        /** @var list<NoticePost> $posts */
        $posts = $this->em->createQueryBuilder()
            ->select('p', 'n')
            ->from(NoticePost::class, 'p')
            ->join('p.notice', 'n')
            ->where('n.room = :room')
            ->setParameter('room', $room)
            ->orderBy('p.madeAt', 'DESC')
            ->addOrderBy('p.id', 'DESC')
            ->setMaxResults(self::SHOWN)
            ->getQuery()
            ->getResult();

        return new JsonResponse(['secret' => $room->secret, 'items' => array_map($this->row(...), $posts)]);
    }

    #[Route('/api/notice-posts/{id}/again', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function again(string $id, #[CurrentUser] Staff $staff): Response
    {
        $post = $this->em->find(NoticePost::class, $id);
        if (null === $post || !$post->notice->room->admits($staff)) {
            throw Problem::notFound('post');
        }
        if (PostState::Sent !== $post->state) {
            $post->again($this->clock->now());
            $this->em->flush();
        }

        return new JsonResponse($this->row($post));
    }

    /** @return array<string, mixed> as NoticePost in the contract */
    private function row(NoticePost $post): array
    {
        $shown = fn (?\DateTimeImmutable $at): ?string => $at?->setTimezone($this->business->zone())->format(\DATE_RFC3339);

        return [
            'id' => $post->id,
            'words' => $post->notice->words,
            'state' => $post->state->value,
            'tries' => $post->tries,
            'madeAt' => $shown($post->madeAt),
            'nextAt' => $shown($post->nextAt),
            'sentAt' => $shown($post->sentAt),
            'answer' => $post->answer,
        ];
    }
}
