<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Files\FileKind;
use Telamon\Messages\EnclosesPapers;
use Telamon\Messages\Message;

/** The quote that a client has, drawn when a message leaves. */
final readonly class QuotePaper implements EnclosesPapers
{
    private const NAME = 'quote';

    public function __construct(private EntityManagerInterface $em, private SignedPapers $papers)
    {
    }

    public function makes(): array
    {
        return [self::NAME => 'their quote, as PDF'];
    }

    public function called(string $paper): ?string
    {
        return $this->makes()[$paper] ?? null;
    }

    public function isForAnybody(string $paper): bool
    {
        return isset($this->makes()[$paper]);
    }

    public function paper(string $paper, Message $message): ?array
    {
        if (self::NAME !== $paper || null === $message->client) {
            return null;
        }
        // What they were shown; never a draft.
        $of = null === $message->project ? ['client' => $message->client] : ['project' => $message->project];
        $quote = $this->em->getRepository(Quote::class)->findOneBy(
            $of + ['state' => [QuoteState::Sent, QuoteState::Opened, QuoteState::Accepted]],
            ['sentAt' => 'DESC', 'id' => 'DESC'],
        );

        return null === $quote ? null : ['name' => FileKind::safeName("{$quote->shown()}.pdf"), 'type' => 'application/pdf', 'bytes' => $this->papers->quote($quote)];
    }
}
