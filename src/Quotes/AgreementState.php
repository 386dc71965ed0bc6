<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** How far an agreement is. */
enum AgreementState: string
{
    case Sent = 'sent';
    case Signed = 'signed';
    case Declined = 'declined';
    case Withdrawn = 'withdrawn';
}
