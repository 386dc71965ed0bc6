<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Telamon\Queue\Every;

/**
 * Posts what waits for a chat of the business's own. Where the process ends between the post and the mark it is posted
 * once more, under the same id: whoever takes it knows it again by that.
 */
#[AsEventListener]
final class PostSweep
{
    private const AT_ONCE = 10;
    /** A chat that does not answer must not keep clients waiting for their mail. */
    private const SECONDS = 5;

    private readonly Every $every;

    public function __construct(private readonly EntityManagerInterface $em, #[Autowire(service: 'telamon.posting')] private readonly HttpClientInterface $posting, private readonly ClockInterface $clock, #[Autowire(env: 'TELAMON_URL')] private readonly string $address)
    {
        $this->every = new Every(5);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue($this->clock->now())) {
            $this->sweep();
        }
    }

    public function sweep(): void
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        /** @var list<NoticePost> $due */
        $due = $this->em->createQueryBuilder()->select('p')->from(NoticePost::class, 'p')->where('p.state = :waiting AND p.nextAt <= :now')
            ->setParameter('waiting', PostState::Waiting->value)->setParameter('now', $now)->orderBy('p.nextAt')->setMaxResults(self::AT_ONCE)->getQuery()->getResult();
        foreach ($due as $post) {
            $this->post($post);
            $this->em->flush();
            if (PostState::Sent !== $post->state) {
                // One that does not get through ends this round: the others come with the next.
                return;
            }
        }
    }

    private function post(NoticePost $post): void
    {
        $room = $post->notice->room;
        if ('' === $room->postTo) {
            $post->missed('The room posts nowhere any more.', $this->clock->now());

            return;
        }
        $body = json_encode($this->body($post), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
        $headers = SignedPost::headers($room->secret, $post->id, $this->clock->now()->getTimestamp(), $body) + ['content-type' => 'application/json'];
        try {
            $status = $this->posting->request('POST', $room->postTo, ['headers' => $headers, 'body' => $body, 'timeout' => self::SECONDS, 'max_duration' => self::SECONDS, 'max_redirects' => 0])->getStatusCode();
        } catch (ExceptionInterface $error) {
            $post->missed($error->getMessage(), $this->clock->now());

            return;
        }
        $status >= 200 && $status < 300 ? $post->arrived("answered $status", $this->clock->now()) : $post->missed("answered $status", $this->clock->now());
    }

    /** @return array<string, mixed> with "text" on top, which many chats show as it is */
    private function body(NoticePost $post): array
    {
        $notice = $post->notice;
        $link = '' === $this->address ? '' : rtrim($this->address, '/')."/messages/notices/{$notice->room->id}";

        return ['type' => 'notice.written', 'timestamp' => $notice->at->format(\DATE_RFC3339), 'text' => trim("{$notice->words}\n$link"), 'data' => ['id' => $notice->id, 'room' => $notice->room->name, 'words' => $notice->words, 'by' => $notice->by, 'client' => $notice->client?->name(), 'project' => $notice->project?->number, 'link' => $link]];
    }
}
