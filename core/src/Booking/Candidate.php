<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** What is known of somebody who could take an appointment. */
final readonly class Candidate
{
    /**
     * @param int $last when they were last given one, in seconds since 1970; 0 for never
     * @param int $week how many they have in that week
     * @param bool $earlier whether they were with this client before, the latest of all
     */
    public function __construct(public string $id, public string $name, public int $last = 0, public int $week = 0, public bool $earlier = false)
    {
    }
}
