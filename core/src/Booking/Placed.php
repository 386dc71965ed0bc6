<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** An appointment as far as it can be in the way of another. */
final readonly class Placed
{
    /**
     * @param list<string> $crew ids of all who are there
     * @param int $start, $end seconds since 1970
     * @param string $where place that one travels to; empty where nobody travels
     * @param string $group of a kind with seats: those of one kind at one start are one session; empty for others
     */
    public function __construct(public string $id, public array $crew, public int $start, public int $end, public string $where = '', public string $group = '')
    {
    }
}
