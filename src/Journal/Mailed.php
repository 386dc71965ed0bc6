<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Http\JsonBody;
use Telamon\Record\Action;
use Telamon\Record\TakenBack;
use Telamon\Refusal\Refusal;

/** What a change has had sent: it cannot be recalled. */
final readonly class Mailed
{
    private const MOST = 1000;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @throws Refusal where the request asks to be told of what was sent, and something was */
    public function askFirst(string $changeId, Request $request): void
    {
        $body = '' === $request->getContent() ? [] : JsonBody::read($request);
        $sent = true === ($body['ask'] ?? false) ? $this->by($changeId) : [];
        if ([] !== $sent) {
            throw new SentAlready('Already sent, and cannot be recalled: '.implode('; ', $sent).'. Undo everything else?');
        }
    }

    /** @return list<string> the messages in words */
    private function by(string $changeId): array
    {
        $words = [];
        foreach ($this->em->getRepository(JournalEntry::class)->findBy(['change' => $changeId, 'action' => Action::Made], null, self::MOST) as $entry) {
            $record = is_a($entry->recordClass, TakenBack::class, true) ? $this->em->find($entry->recordClass, $entry->recordId) : null;
            if ($record instanceof TakenBack && null !== $record->staysBecause()) {
                $words[] = $record->recordLabel();
            }
        }

        return $words;
    }
}
