<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** What does a task by itself, on its project. */
enum DoneBy: string
{
    case FormReceived = 'form';
    case FileAttached = 'file';
    case MessageSent = 'message';
    case AppointmentHeld = 'appointment';
    case QuoteAccepted = 'quote';
    case AgreementSigned = 'agreement';

    public function words(): string
    {
        return match ($this) {
            self::FormReceived => 'when a form comes in',
            self::FileAttached => 'when a file is attached',
            self::MessageSent => 'when a message is sent',
            self::AppointmentHeld => 'when the visit is held',
            self::QuoteAccepted => 'when the quote is accepted',
            self::AgreementSigned => 'when the agreement is signed',
        };
    }
}
