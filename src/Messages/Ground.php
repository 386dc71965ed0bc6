<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** On what ground a message is sent. */
enum Ground: string
{
    /** It serves what somebody ordered, booked or asked: they expect it. */
    case Contract = 'contract';
    /** It goes on with an inquiry: it needs no consent, and ends when they say so. */
    case Inquiry = 'inquiry';
    /** It advertises: only with consent. */
    case Consent = 'consent';
    case Staff = 'staff';

    public function words(): string
    {
        return match ($this) {
            self::Contract => 'serves what they ordered or booked',
            self::Inquiry => 'goes on with their inquiry',
            self::Consent => 'they allowed it',
            self::Staff => 'to staff',
        };
    }

    /** Whether it carries a way to stop it (RFC 8058). */
    public function canBeStopped(): bool
    {
        return self::Inquiry === $this || self::Consent === $this;
    }
}
