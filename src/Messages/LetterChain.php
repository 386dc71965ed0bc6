<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;

/** The letters that one goes back to, by their ids: the header References (RFC 5322, section 3.6.4). */
final readonly class LetterChain
{
    private const MOST = 20;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<string> Message-IDs without brackets, the oldest first; the last is the one that is answered */
    public function of(Message $message): array
    {
        $chain = [];
        for ($at = $message; null !== $at && '' !== $at->inReplyTo && \count($chain) < self::MOST; $at = $came->answers ?? null) {
            array_unshift($chain, $at->inReplyTo);
            $came = $this->em->getRepository(Incoming::class)->findOneBy(['messageId' => $at->inReplyTo]);
            if (
                null !== $came?->answers
                && !\in_array($id = "{$came->answers->id}@".substr($came->answers->fromAddress, (int) strrpos($came->answers->fromAddress, '@') + 1), $chain, true)
            ) {
                array_unshift($chain, $id);
            }
        }

        return $chain;
    }
}
