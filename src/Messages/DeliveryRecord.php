<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\StandIn\Mailbox;

/** Whether a message has reached the outside. The stand-in mailbox knows; a mail server cannot be asked. */
final readonly class DeliveryRecord
{
    public function __construct(private Mailbox $mailbox, private string $mailerDsn)
    {
    }

    /** @return bool|null null where nobody can tell */
    public function wasDelivered(string $messageId): ?bool
    {
        return str_starts_with($this->mailerDsn, 'mailbox:') ? $this->mailbox->has($messageId) : null;
    }
}
