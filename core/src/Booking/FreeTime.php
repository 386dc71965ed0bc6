<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** A time that is free for somebody, with what is known of it. */
final readonly class FreeTime
{
    /**
     * @param list<string> $crew ids of whoever would hold it
     * @param int $start seconds since 1970
     * @param int $minute of the local day
     * @param string $day local day, ISO 8601
     */
    public function __construct(public array $crew, public int $start, public int $minute, public string $day, public Neighbours $neighbours)
    {
    }
}
