<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Queue\DueWork;

/** A place in a group that has become free is offered to whoever waits longest for it. */
final readonly class MoveUp implements DueWork
{
    public function __construct(private WaitingList $waiting)
    {
    }

    public function name(): string
    {
        return 'moves-up';
    }

    public function words(): string
    {
        return 'Places that become free are offered to whoever waits';
    }

    public function every(): int
    {
        return 10;
    }

    public function due(): array
    {
        return $this->waiting->toOffer();
    }

    public function carryOut(string $key): void
    {
        $this->waiting->offerNext($key);
    }
}
