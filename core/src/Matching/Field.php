<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** What two people are compared by. */
enum Field: string
{
    case Given = 'given';
    case Family = 'family';
    case Order = 'order';
    case Email = 'email';
    case Phone = 'phone';
    case Address = 'address';
    case Area = 'area';
    case Organisation = 'organisation';
}
