<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** What a booking does to projects. */
enum OntoProject: string
{
    case Opens = 'opens';
    /** Joins the open one of the client; opens one where none is. */
    case Joins = 'joins';
    case Asks = 'asks';
    case None = 'none';
}
