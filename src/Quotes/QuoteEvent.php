<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** What rules wait for. */
enum QuoteEvent: string
{
    case Opened = 'opened';
    case Accepted = 'accepted';
    case Declined = 'declined';
    case Expired = 'expired';
}
