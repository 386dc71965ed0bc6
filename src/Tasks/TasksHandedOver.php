<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The tasks that somebody has still to do. */
final readonly class TasksHandedOver implements HandsOver
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 open task' : "$count open tasks";
    }

    public function count(Staff $from): int
    {
        return $this->em->getRepository(Task::class)->count(['assignee' => $from, 'finishedAt' => null]);
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->em->getRepository(Task::class)->findBy(['assignee' => $from, 'finishedAt' => null]) as $task) {
            $task->giveTo($to);
        }
    }
}
