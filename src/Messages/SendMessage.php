<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** Asks the worker to send a message. */
final readonly class SendMessage
{
    public function __construct(public string $messageId)
    {
    }
}
