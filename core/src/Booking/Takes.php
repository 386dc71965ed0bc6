<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** How many of the people named it takes. */
enum Takes: string
{
    /** Any one of them. */
    case Any = 'any';
    /** All of them together. */
    case All = 'all';
    /** One of each list. */
    case Each = 'each';
}
