<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** What a template is for: it decides which fields there are. */
enum Purpose: string
{
    /** To a client about their inquiry or project; the one that people add to. */
    case Client = 'client';
    /** About a form: to be filled in, or as it was. */
    case Copy = 'copy';
    case Visit = 'visit';
    case Quote = 'quote';
    case Agreement = 'agreement';
    case Staff = 'staff';

    public function words(): string
    {
        return match ($this) {
            self::Client => 'to a client',
            self::Copy => 'about a form',
            self::Visit => 'about a visit',
            self::Quote => 'about a quote',
            self::Agreement => 'about an agreement',
            self::Staff => 'to staff',
        };
    }
}
