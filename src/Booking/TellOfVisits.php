<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Queue\DueWork;

/** What was taken back, or done again, is told as well: a visit that stands otherwise than its client was told. */
final readonly class TellOfVisits implements DueWork
{
    public function __construct(private Connection $db, private TellClientHandler $tell, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'visits-told';
    }

    public function words(): string
    {
        return 'Clients are told of visits that were taken back or done again';
    }

    public function every(): int
    {
        return 10;
    }

    public function due(): array
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        /** @var list<string> $ids */
        $ids = $this->db->fetchFirstColumn(
            "SELECT a.id FROM appointment a JOIN appointment_told t ON t.appointment_id = a.id WHERE a.starts_at > ? AND ((a.state IN ('booked', 'cancelled') AND a.state <> t.state AND NOT (a.state = 'cancelled' AND t.state = 'offered')) OR (a.state = 'booked' AND a.starts_at <> t.starts_at)) ORDER BY a.starts_at, a.id LIMIT 1000",
            [$now],
        );

        return array_values(array_filter($ids, $this->tell->hasNews(...)));
    }

    public function carryOut(string $key): void
    {
        ($this->tell)(new TellClient($key));
    }
}
