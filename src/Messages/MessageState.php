<?php

declare(strict_types=1);

namespace Telamon\Messages;

enum MessageState: string
{
    case Queued = 'queued';
    case Sending = 'sending';
    case Sent = 'sent';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
    /** It waits for a person: something in it cannot be filled in, or somebody stopped it for now. */
    case Held = 'held';

    /** What was done when it came to stand so, for the journal. */
    public function done(): string
    {
        return match ($this) {
            self::Sent => 'sent',
            self::Failed, self::Held => 'could not send',
            default => $this->value,
        };
    }
}
