<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Profile;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Projects\ReadyByMoved;

/** Open tasks that are counted back from the day of readiness move with it; those that somebody put on another day stay there. */
#[AsEventListener]
final readonly class TasksFollowReadyBy
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public function __invoke(ReadyByMoved $event): void
    {
        [$before, $after] = [$event->before, $event->project->readyBy];
        if (null === $before || null === $after) {
            return;
        }
        $days = $this->counted();
        $calendar = $this->business->workingDays();
        foreach ($this->em->getRepository(Task::class)->findBy(['project' => $event->project, 'finishedAt' => null]) as $task) {
            $count = $days["{$task->checklist}\n{$task->name}"] ?? null;
            if (null !== $count && $task->due->format('Y-m-d') === $calendar->add($calendar->back($before, 0), $count)->format('Y-m-d')) {
                $task->become($task->name, $calendar->add($calendar->back($after, 0), $count));
                $event->touch($task);
            }
        }
    }

    /** @return array<string, int> working days from the day of readiness, by list and name of the item */
    private function counted(): array
    {
        $days = [];
        foreach ($this->em->getRepository(ChecklistTemplate::class)->findAll() as $template) {
            foreach ($template->toChecklist()->items as $item) {
                if (DueFrom::ReadyBy === $item->from) {
                    $days["{$template->name}\n{$item->name}"] = $item->days;
                }
            }
        }

        return $days;
    }
}
