<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Business\Profile;
use Telamon\Business\Service;
use Telamon\Business\StageEnd;
use Telamon\Core\Checklists\Anchors;
use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Time\CareDay;
use Telamon\Journal\Written;
use Telamon\Projects\Project;
use Telamon\Record\Action;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskCounts;

/** When a project is done, its service may ask for the next one in its time; it is stopped when the client has come again by then. */
#[AsEventListener]
final readonly class RepeatingCare
{
    /** What the key of such a task begins with. */
    public const ITEM = 'care/';

    public function __construct(private EntityManagerInterface $em, private Profile $business, private TaskCounts $counts)
    {
    }

    public function __invoke(Written $event): void
    {
        foreach ($event->records as $one) {
            if (!$one->record instanceof Project) {
                continue;
            }
            if (Action::Made === $one->action) {
                $this->stop($one->record, $event);
            } elseif (\in_array($one->after['outcome'] ?? null, [StageEnd::Won, StageEnd::Won->value], true)) {
                $this->plan($one->record, $event);
            } elseif (isset($one->after['outcome'])) {
                // Opened again, or lost after all.
                $this->takeBack($one->record, $event);
            }
        }
    }

    private function plan(Project $project, Written $event): void
    {
        $service = '' === $project->service ? null : $this->em->getRepository(Service::class)->findOneBy(['key' => $project->service]);
        if (null === $service || !$service->asksForCare() || [] !== $this->open($project)) {
            return;
        }
        $done = Anchors::day(($project->closedAt ?? $event->change->at)->setTimezone($this->business->zone()));
        $due = (new CareDay($this->business->workingDays()))->after($done, $service->careMonths ?? 0, $service->careWeek);
        $assignee = $this->business->business()->coordinator;
        $task = new Task($project, $this->counts->last($project) + 1, $service->careTask, $assignee, $due, [], 'Repeating care');
        $task->briefed(new TaskBrief(self::ITEM.$service->key, 0, 0, 10), true);
        $this->em->persist($task);
        $event->touch($task);
    }

    /** The client has come again for the same: nobody has to ask. */
    private function stop(Project $new, Written $event): void
    {
        if ('' === $new->service) {
            return;
        }
        /** @var list<Task> $found */
        $found = $this->em->createQueryBuilder()
            ->select('t')
            ->from(Task::class, 't')
            ->join('t.project', 'p')
            ->where('p.client = :client')
            ->andWhere('t.item = :item')
            ->andWhere('t.finishedAt IS NULL')
            ->setParameter('client', $new->client)->setParameter('item', self::ITEM.$new->service)->getQuery()->getResult();
        foreach ($found as $task) {
            $this->em->remove($task);
            $event->touch($task);
        }
    }

    private function takeBack(Project $project, Written $event): void
    {
        foreach ($this->open($project) as $task) {
            $this->em->remove($task);
            $event->touch($task);
        }
    }

    /** @return list<Task> */
    private function open(Project $project): array
    {
        return array_values(array_filter(
            $this->em->getRepository(Task::class)->findBy(['project' => $project, 'finishedAt' => null]),
            static fn (Task $task): bool => str_starts_with($task->item, self::ITEM),
        ));
    }
}
