<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\StandIn\Mailbox;
use Telamon\StandIn\TextFolder;

/** Whether a message has reached the outside. The stand-ins know; a mail server or a gateway cannot be asked. */
final readonly class DeliveryRecord
{
    public function __construct(private Mailbox $mailbox, private TextFolder $texts, private string $mailerDsn, private string $textDsn)
    {
    }

    /** @return bool|null null where nobody can tell */
    public function wasDelivered(Message $message): ?bool
    {
        if (Channel::Text === $message->channel) {
            return str_starts_with($this->textDsn, 'text-folder:') ? $this->texts->has($message->id) : null;
        }

        return str_starts_with($this->mailerDsn, 'mailbox:') ? $this->mailbox->has($message->id) : null;
    }
}
