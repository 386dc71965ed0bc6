<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Messages\Message;
use Telamon\Messages\MessageState;
use Telamon\Record\Action;

/** What a change has had sent: it cannot be recalled. */
final readonly class Mailed
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @throws Problem 409 where the request asks to be told of what was sent, and something was */
    public function askFirst(string $changeId, Request $request): void
    {
        $body = '' === $request->getContent() ? [] : JsonBody::read($request);
        $sent = true === ($body['ask'] ?? false) ? $this->by($changeId) : [];
        if ([] !== $sent) {
            throw new Problem(409, 'Sent already', 'Already sent, and cannot be recalled: '.implode('; ', $sent).'. Undo everything else?');
        }
    }

    /** @return list<string> the messages in words */
    private function by(string $changeId): array
    {
        $ids = [];
        foreach ($this->em->getRepository(JournalEntry::class)->findBy(['change' => $changeId, 'recordKind' => 'message', 'action' => Action::Made], null, 50) as $entry) {
            $ids[] = $entry->recordId;
        }
        $messages = [] === $ids ? [] : $this->em->getRepository(Message::class)->findBy(['id' => $ids, 'state' => [MessageState::Sent, MessageState::Sending]]);

        return array_map(static fn (Message $message): string => $message->recordLabel(), $messages);
    }
}
