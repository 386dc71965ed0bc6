<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Absence;
use Telamon\Business\Profile;
use Telamon\Staff\Staff;

/** How much work lies before everybody, by week, against the time that they are there. */
final readonly class Workload
{
    private const WEEKS = 4;

    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return list<array{id: string, name: string, weeks: list<array{monday: string, effort: int, available: int}>}> minutes, as LoadOf in the contract; what is late counts in this week */
    public function ahead(): array
    {
        $today = new \DateTimeImmutable($this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $monday = $today->modify('monday this week');
        $effort = $this->effort($monday);
        $rows = [];
        foreach ($this->em->getRepository(Staff::class)->findBy(['active' => true], ['name' => 'ASC']) as $one) {
            $weeks = [];
            for ($week = 0; $week < self::WEEKS; ++$week) {
                $first = $monday->modify("+$week weeks");
                $weeks[] = [
                    'monday' => $first->format('Y-m-d'),
                    'effort' => $effort[$one->id][$week] ?? 0,
                    'available' => $this->available($one, 0 === $week ? $today : $first, $first->modify('+6 days')),
                ];
            }
            $rows[] = ['id' => $one->id, 'name' => $one->name, 'weeks' => $weeks];
        }

        return $rows;
    }

    /** @return array<string, array<int, int>> minutes by id of staff and week */
    private function effort(\DateTimeImmutable $monday): array
    {
        /** @var list<array{staff: string, due: \DateTimeInterface, effort: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('IDENTITY(t.assignee) AS staff', 't.due AS due', 'SUM(t.effort) AS effort')->from(Task::class, 't')->join('t.project', 'p')
            ->where('t.finishedAt IS NULL')->andWhere('t.due < :end')->andWhere('t.effort > 0')->andWhere("p.outcome <> 'lost'")->setParameter(
                'end',
                $monday->modify('+'.self::WEEKS.' weeks')->format('Y-m-d'),
            )
            ->groupBy('t.assignee')->addGroupBy('t.due')->getQuery()->getResult();
        $effort = [];
        foreach ($rows as $row) {
            $week = max(0, intdiv((int) $monday->diff(new \DateTimeImmutable($row['due']->format('Y-m-d'), new \DateTimeZone('UTC')))->format('%r%a'), 7));
            $effort[$row['staff']][$week] = ($effort[$row['staff']][$week] ?? 0) + (int) $row['effort'];
        }

        return $effort;
    }

    /** Minutes from the first to the last day, less closures and days off. */
    private function available(Staff $staff, \DateTimeImmutable $first, \DateTimeImmutable $last): int
    {
        $hours = [] === $staff->hours ? $this->business->business()->hours : $staff->hours;
        $calendar = $this->business->workingDays();
        $off = $this->em->getRepository(Absence::class)->findBy(['staff' => $staff]);
        $minutes = 0;
        for ($day = $first; $day <= $last; $day = $day->modify('+1 day')) {
            $isOff = [] !== array_filter(
                $off,
                static fn (Absence $absence): bool => $absence->first->format('Y-m-d') <= $day->format('Y-m-d') && $absence->last->format('Y-m-d') >= $day->format('Y-m-d'),
            );
            // A closure is a worked weekday that the business does not work.
            $isClosed = [] !== ($this->business->business()->hours[(int) $day->format('N')] ?? []) && !$calendar->isWorked($day);
            foreach ($isOff || $isClosed ? [] : $hours[(int) $day->format('N')] ?? [] as [$from, $to]) {
                $minutes += self::minute($to) - self::minute($from);
            }
        }

        return $minutes;
    }

    private static function minute(string $clock): int
    {
        [$hour, $minute] = array_map(intval(...), explode(':', $clock));

        return 60 * $hour + $minute;
    }
}
