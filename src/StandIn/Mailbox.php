<?php

declare(strict_types=1);

namespace Telamon\StandIn;

/** The stand-in mailbox: messages as files. A message is in it once, however often it is delivered. */
interface Mailbox
{
    /** @param string $id the message's own id, as in its Message-ID */
    public function deliver(string $id, string $eml): void;

    public function has(string $id): bool;

    /** The message as delivered, or null. */
    public function read(string $id): ?string;
}
