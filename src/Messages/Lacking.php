<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Clients\Consents;

/** Why a message must not leave as it is. */
final readonly class Lacking
{
    public function __construct(private Papers $papers, private Consents $consents)
    {
    }

    /** @return string in words; empty where nothing is against it */
    public function of(Message $message): string
    {
        if (!$this->isAllowed($message)) {
            return (new NotAllowed($message))->getMessage();
        }
        $missing = $this->papers->missing($message);

        return [] === $missing ? '' : mb_substr('Should go with it and is not there: '.implode(', ', $missing).'. Let go, it leaves without.', 0, 500);
    }

    /** Whether its client allowed what it advertises, if it does. */
    public function isAllowed(Message $message): bool
    {
        return '' === $message->consent || (null !== $message->client && $this->consents->has($message->client, $message->consent));
    }
}
