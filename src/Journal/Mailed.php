<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Messages\Message;
use Telamon\Messages\MessageState;

/** What a change has had sent: it cannot be recalled. */
final readonly class Mailed
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<string> the messages in words */
    public function by(string $changeId): array
    {
        $ids = [];
        foreach ($this->em->getRepository(JournalEntry::class)->findBy(['change' => $changeId, 'recordKind' => 'message', 'action' => Action::Made], null, 50) as $entry) {
            $ids[] = $entry->recordId;
        }
        $messages = [] === $ids ? [] : $this->em->getRepository(Message::class)->findBy(['id' => $ids, 'state' => [MessageState::Sent, MessageState::Sending]]);

        return array_map(static fn (Message $message): string => $message->recordLabel(), $messages);
    }
}
