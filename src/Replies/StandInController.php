<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Core\Reading\EmailReader;
use Telamon\Database\Ids;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Messages\Channel;
use Telamon\Messages\Incoming;
use Telamon\Messages\Message;
use Telamon\Staff\Permission;

/** One plays the client: with the stand-in mailbox, a mail that is written here comes in as from outside. */
#[Route('/api/stand-in')]
#[IsGranted(Permission::Write->value)]
final readonly class StandInController
{
    public function __construct(
        private EntityManagerInterface $em,
        private MailIn $in,
        private TextIn $texts,
        private Profile $business,
        private ReplyView $view,
        private StandInLetters $letters,
        private EmailReader $emails,
        private string $mailerDsn,
    ) {
    }

    #[Route('/mail', methods: ['POST'])]
    public function mail(Request $request): Response
    {
        if (!str_starts_with($this->mailerDsn, 'mailbox:')) {
            throw Problem::notFound('stand-in: a real mail server is set up');
        }
        $body = JsonBody::read($request);
        $id = \is_string($body['message'] ?? null) ? $body['message'] : '';
        $answered = '' === $id ? null : $this->em->find(Message::class, $id) ?? throw Problem::notFound('message');
        if (Channel::Text === $answered?->channel || 'text' === ($body['channel'] ?? null)) {
            return new JsonResponse($this->view->show($this->texted($body, $answered)), 201);
        }
        $eml = \is_string($body['eml'] ?? null) && '' !== $body['eml'] ? $body['eml'] : $this->written($body, $answered);

        return new JsonResponse($this->view->show($this->in->take($eml)), 201);
    }

    /** @param array<array-key, mixed> $body */
    private function texted(array $body, ?Message $answered): Incoming
    {
        $words = self::text($body, 'text', 1600);
        if ('' === $words) {
            throw Problem::invalid('text', 'Write what the client writes.');
        }
        $from = $answered->toAddress ?? $this->business->phoneReader()
            ->read(self::text($body, 'from', 254)) ?? throw Problem::invalid('from', 'Write the phone number that it comes from.');

        return $this->texts->take(Ids::next(), $from, $words);
    }

    /** @param array<array-key, mixed> $body */
    private static function text(array $body, string $field, int $most): string
    {
        return mb_substr(\is_string($body[$field] ?? null) ? trim($body[$field]) : '', 0, $most);
    }

    /** @param array<array-key, mixed> $body */
    private function written(array $body, ?Message $message): string
    {
        $text = static fn (string $field, int $most): string => self::text($body, $field, $most);
        $words = $text('text', 20_000);
        if ('' === $words) {
            throw Problem::invalid('text', 'Write what the client writes.');
        }
        $from = $message->toAddress ?? $this->emails->read($text('from', 254)) ?? throw Problem::invalid('from', 'Write the address that it comes from.');

        return $this->letters->write($message, $from, $text('subject', 200), $words);
    }
}
