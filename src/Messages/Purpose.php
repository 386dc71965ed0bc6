<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** What a template is for: it decides which fields there are. */
enum Purpose: string
{
    /** To a client about their inquiry or project; the one that people add to. */
    case Client = 'client';
    case Copy = 'copy';
    case Visit = 'visit';
    case Quote = 'quote';
    case Agreement = 'agreement';
    case Staff = 'staff';

    public function words(): string
    {
        return match ($this) {
            self::Client => 'to a client',
            self::Copy => 'a copy of answers',
            self::Visit => 'about a visit',
            self::Quote => 'about a quote',
            self::Agreement => 'about an agreement',
            self::Staff => 'to staff',
        };
    }
}
