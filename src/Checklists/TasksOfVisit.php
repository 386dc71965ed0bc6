<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Diary\Appointment;
use Telamon\Tasks\FollowsView;
use Telamon\Tasks\TaskDates;

/** What hangs on a visit, told before it is moved. */
final readonly class TasksOfVisit
{
    public function __construct(private EntityManagerInterface $em, private TaskDates $dates, private ClockInterface $clock)
    {
    }

    /**
     * Nothing is written; records that were read before are to be read anew.
     *
     * @return array{moved: list<array{number: int, name: string, was: string, due: string}>, stays: list<array{number: int, name: string, due: string, earliest: string}>} as Follows in the contract
     */
    public function look(Appointment $visit, \DateTimeImmutable $start, \DateTimeImmutable $end): array
    {
        $project = $visit->project;
        if (null === $project || $start->getTimestamp() === $visit->startsAt->getTimestamp()) {
            return ['moved' => [], 'stays' => []];
        }
        $visit->move($start, $end, $visit->staff, $visit->also, $this->clock->now());
        $told = FollowsView::of($this->dates->countedFrom($project, DueFrom::Appointment->value));
        $this->em->clear();

        return $told;
    }
}
