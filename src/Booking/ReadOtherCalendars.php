<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Diary\BusyCalendar;
use Telamon\Queue\ReachesOut;

/** Other calendars are read again, each once in a quarter of an hour. */
final readonly class ReadOtherCalendars implements ReachesOut
{
    public function __construct(private EntityManagerInterface $em, private OtherCalendars $calendars, private ClockInterface $clock)
    {
    }

    public function name(): string
    {
        return 'other-calendars';
    }

    public function words(): string
    {
        return 'Other calendars of staff are read again';
    }

    public function every(): int
    {
        return 10;
    }

    public function due(): array
    {
        /** @var list<string> $due */
        $due = $this->em->getConnection()->fetchFirstColumn(
            "SELECT id FROM busy_calendar WHERE address <> '' AND read_at < ? ORDER BY read_at, id LIMIT 1000",
            [$this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify('-15 minutes')->format('Y-m-d H:i:s')],
        );

        return $due;
    }

    public function host(string $key): string
    {
        return (string) parse_url($this->em->find(BusyCalendar::class, $key)->address ?? '', \PHP_URL_HOST);
    }

    public function carryOut(string $key): void
    {
        $calendar = $this->em->find(BusyCalendar::class, $key);
        if (null !== $calendar) {
            $this->calendars->readAgain($calendar);
        }
    }
}
