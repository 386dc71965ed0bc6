<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** What lies before and after a time in somebody's day. Instants in seconds since 1970. */
final readonly class Neighbours
{
    /**
     * @param int|null $before when the one before ends, kept-clear time included; null where the day begins with it
     * @param int|null $after when the one after begins, kept-clear time included; null where the day ends with it
     * @param string $beforeName, $afterName what they are called
     * @param int $added minutes on the road that it adds to the day
     * @param int $nearest minutes from the nearer of the two, or from the business
     */
    public function __construct(public ?int $before, public ?int $after, public string $beforeName, public string $afterName, public int $added, public int $nearest)
    {
    }
}
