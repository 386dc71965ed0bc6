<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Who gets an appointment that several could take. */
enum Picks: string
{
    /** Whoever has been longest without one. */
    case Turns = 'turns';
    /** Whoever has fewest in that week. */
    case Fewest = 'fewest';
    /** Whoever was with this client before; by turns where nobody was. */
    case Earlier = 'earlier';
}
