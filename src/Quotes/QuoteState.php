<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** How far a quote is. */
enum QuoteState: string
{
    case Draft = 'draft';
    case Sent = 'sent';
    case Opened = 'opened';
    case Accepted = 'accepted';
    case Declined = 'declined';
    case Expired = 'expired';
    case Replaced = 'replaced';

    /** Whether the client can still answer. */
    public function isOpen(): bool
    {
        return self::Sent === $this || self::Opened === $this;
    }

    /** As it is shown: one that ran out counts as such before the worker has come by. @param string $today ISO 8601 */
    public static function shown(self $state, \DateTimeImmutable $validUntil, string $today): string
    {
        return $state->isOpen() && $validUntil->format('Y-m-d') < $today ? self::Expired->value : $state->value;
    }
}
