<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Telamon\Queue\HostDown;
use Telamon\Queue\ReachesOut;

/**
 * Posts what waits for a chat of the business's own. Where the process ends between the post and the mark it is posted
 * once more, under the same id: whoever takes it knows it again by that.
 */
final readonly class PostSweep implements ReachesOut
{
    private const AT_ONCE = 1000;
    /** A chat that does not answer must not keep clients waiting for their mail. */
    private const SECONDS = 5;

    public function __construct(
        private EntityManagerInterface $em,
        #[Autowire(service: 'telamon.posting')] private HttpClientInterface $posting,
        private ClockInterface $clock,
        #[Autowire(env: 'TELAMON_URL')] private string $address,
    ) {
    }

    public function name(): string
    {
        return 'chat-posts';
    }

    public function words(): string
    {
        return 'Notices are posted to chats';
    }

    public function every(): int
    {
        return 5;
    }

    public function due(): array
    {
        /** @var list<string> $due */
        $due = $this->em->getConnection()->fetchFirstColumn(
            'SELECT id FROM notice_post WHERE state = ? AND next_at <= ? ORDER BY next_at, id LIMIT '.self::AT_ONCE,
            [PostState::Waiting->value, $this->now()],
        );

        return $due;
    }

    public function host(string $key): string
    {
        $to = $this->em->find(NoticePost::class, $key)->notice->room->postTo ?? '';

        return (string) parse_url($to, \PHP_URL_HOST);
    }

    public function carryOut(string $key): void
    {
        // Claimed before anything leaves: whoever dies in between has it come again after a minute, under the id that the chat knows it by.
        $claimed = $this->em->getConnection()->executeStatement(
            'UPDATE notice_post SET next_at = ? WHERE id = ? AND state = ? AND next_at <= ?',
            [$this->now('+1 minute'), $key, PostState::Waiting->value, $this->now()],
        );
        $post = 1 === $claimed ? $this->em->find(NoticePost::class, $key) : null;
        if (null === $post) {
            return;
        }
        $this->em->refresh($post);
        $isDown = $this->post($post);
        $this->em->flush();
        if ($isDown) {
            throw new HostDown($post->answer);
        }
    }

    private function now(string $later = '+0 seconds'): string
    {
        return $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify($later)->format('Y-m-d H:i:s');
    }

    /** @return bool whether the host did not answer, or not as it should */
    private function post(NoticePost $post): bool
    {
        $room = $post->notice->room;
        if ('' === $room->postTo) {
            $post->missed('The room posts nowhere any more.', $this->clock->now());

            return false;
        }
        $body = json_encode($this->body($post), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
        $headers = SignedPost::headers($room->secret, $post->id, $this->clock->now()->getTimestamp(), $body) + ['content-type' => 'application/json'];
        try {
            $status = $this->posting->request(
                'POST',
                $room->postTo,
                ['headers' => $headers, 'body' => $body, 'timeout' => self::SECONDS, 'max_duration' => self::SECONDS, 'max_redirects' => 0],
            )->getStatusCode();
        } catch (ExceptionInterface $error) {
            $post->missed($error->getMessage(), $this->clock->now());

            return true;
        }
        $status >= 200 && $status < 300 ? $post->arrived("answered $status", $this->clock->now()) : $post->missed("answered $status", $this->clock->now());

        return $status >= 500 || 429 === $status;
    }

    /** @return array<string, mixed> with "text" on top, which many chats show as it is */
    private function body(NoticePost $post): array
    {
        $notice = $post->notice;
        $link = '' === $this->address ? '' : rtrim($this->address, '/')."/messages/notices/{$notice->room->id}";

        return [
            'type' => 'notice.written',
            'timestamp' => $notice->at->format(\DATE_RFC3339),
            'text' => trim("{$notice->words}\n$link"),
            'data' => [
                'id' => $notice->id,
                'room' => $notice->room->name,
                'words' => $notice->words,
                'by' => $notice->by,
                'client' => $notice->client?->name(),
                'project' => $notice->project?->number,
                'link' => $link,
            ],
        ];
    }
}
