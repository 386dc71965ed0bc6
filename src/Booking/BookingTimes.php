<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Closure;
use Telamon\Business\Profile;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\Wanted;

/** The free times of some days, as BookingTimes in the contract. */
final readonly class BookingTimes
{
    /** Days with times that are shown at once, and days that are looked through for them. */
    private const DAYS = 5;
    private const LOOKED = 21;

    public function __construct(private FreeTimes $times, private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @param string $from local day, ISO 8601; today where it lies before
     *
     * @return array<string, mixed>
     */
    public function of(Wanted $wanted, string $from): array
    {
        $zone = $this->business->zone();
        $today = $this->clock->now()->setTimezone($zone)->format('Y-m-d');
        $from = max($from, $today);
        $furthest = self::plus($today, $wanted->type->settings()->furthestDays);
        $found = [];
        $last = $from;
        // Days on which nothing is free are passed over until some are found.
        for ($begin = $from; $begin <= $furthest && \count($found) < self::DAYS; $begin = self::plus($begin, self::LOOKED)) {
            foreach ($this->times->find($wanted, $begin, min($furthest, self::plus($begin, self::LOOKED - 1))) as $free) {
                $day = $free['start']->format('Y-m-d');
                if (\count($found) >= self::DAYS && !isset($found[$day])) {
                    break 2;
                }
                $found[$day][] = $free['start']->format(\DATE_RFC3339);
                $last = $day;
            }
        }
        $closed = $this->closures($from, $last);
        $full = [];
        foreach ($this->times->full($wanted, new \DateTimeImmutable($from, $zone), new \DateTimeImmutable($last, $zone)) as $start) {
            $full[$start->format('Y-m-d')][] = $start->format(\DATE_RFC3339);
        }
        $hours = $this->business->business();
        $days = [];
        for ($day = $from; $day <= $last; $day = self::plus($day, 1)) {
            $days[] = [
                'day' => $day,
                'starts' => $found[$day] ?? [],
                'full' => $full[$day] ?? [],
                'closed' => $closed[$day] ?? ([] === ($hours->hours[(int) (new \DateTimeImmutable($day))->format('N')] ?? []) ? 'closed' : ''),
                'clocks' => $this->clocks($day),
            ];
        }
        $next = self::plus($last, 1);

        return [
            'zone' => $hours->timeZone,
            'length' => $wanted->length,
            'step' => $wanted->type->settings()->step,
            'opens' => $hours->opens(),
            'closes' => $hours->closes(),
            'days' => $days,
            'next' => [] !== $found && $next <= $furthest ? $next : null,
        ];
    }

    /** @return array<string, string> names by ISO 8601 day */
    private function closures(string $from, string $to): array
    {
        /** @var list<Closure> $found */
        $found = $this->em->createQueryBuilder()
            ->select('c')
            ->from(Closure::class, 'c')
            ->where('c.day >= :from AND c.day <= :to')
            ->setParameter('from', $from)
            ->setParameter('to', $to)
            ->getQuery()
            ->getResult();
        $names = [];
        foreach ($found as $one) {
            $names[$one->day->format('Y-m-d')] = $one->name;
        }

        return $names;
    }

    /** @return int minutes by which the clocks go forward that day; negative where they go back, 0 where they do not change */
    private function clocks(string $day): int
    {
        $zone = $this->business->zone();
        $at = static fn (string $day): int => $zone->getOffset(new \DateTimeImmutable($day, $zone));

        return intdiv($at(self::plus($day, 1)) - $at($day), 60);
    }

    private static function plus(string $day, int $days): string
    {
        return (new \DateTimeImmutable($day, new \DateTimeZone('UTC')))->modify("+$days days")->format('Y-m-d');
    }
}
