<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Sabre\VObject\Component\VCalendar;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;

/** Somebody's open tasks as to-dos of a calendar (VTODO, RFC 5545, 3.6.2); due on a day, without a time. */
final readonly class TasksAsTodos
{
    private const MOST = 500;

    public function __construct(private EntityManagerInterface $em, private ClockInterface $clock, #[Autowire(env: 'TELAMON_URL')] private string $address = '')
    {
    }

    public function add(VCalendar $calendar, Staff $of): void
    {
        /** @var list<Task> $tasks */
        $tasks = $this->em->createQueryBuilder()->select('t', 'p', 'c')->from(Task::class, 't')->join('t.project', 'p')->join('p.client', 'c')
            ->where(
                "t.assignee = :of AND t.finishedAt IS NULL AND p.outcome = 'open'",
            )->setParameter('of', $of)->orderBy('t.due')->addOrderBy('t.id')->setMaxResults(self::MOST)->getQuery()->getResult();
        foreach ($tasks as $task) {
            $todo = $calendar->createComponent('VTODO', [
                'UID' => "{$task->id}@telamon",
                'DTSTAMP' => $this->clock->now()->setTimezone(new \DateTimeZone('UTC')),
                'SUMMARY' => "{$task->name}, {$task->project->client->name()}",
                'DESCRIPTION' => trim("{$task->project->recordLabel()}\n{$task->told('words')}"),
                'STATUS' => 'NEEDS-ACTION',
                'SEQUENCE' => $task->version,
            ]);
            $todo->add('DUE', $task->due->format('Ymd'), ['VALUE' => 'DATE']);
            if ('' !== $this->address) {
                $todo->add('URL', rtrim($this->address, '/')."/projects/{$task->project->id}");
            }
            $calendar->add($todo);
        }
    }
}
