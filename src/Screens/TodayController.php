<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Viewer;
use Telamon\Arrivals\TodaysArrivals;
use Telamon\Booking\DiaryView;
use Telamon\Business\Profile;
use Telamon\Quotes\WaitingQuotes;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskView;

/** The day sheet: who waits for an answer, who goes where, what is due, what came of late. Field staff see what is theirs. */
#[IsGranted(Permission::Work->value)]
final readonly class TodayController
{
    private const MOST = 100;

    public function __construct(
        private EntityManagerInterface $em,
        private TodaysArrivals $arrivals,
        private DiaryView $diary,
        private TaskView $tasks,
        private Profile $business,
        private Viewer $viewer,
        private DayStandsOut $standsOut,
        private WaitingQuotes $quotes,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/api/today', methods: ['GET'])]
    public function show(#[CurrentUser] Staff $staff): Response
    {
        $now = $this->clock->now()->setTimezone($this->business->zone());
        $day = $now->format('Y-m-d');
        $decides = $this->viewer->may(Permission::Decide);
        $seesAll = $this->viewer->may(Permission::SeeAll);

        $counts = $decides ? $this->arrivals->counts($now) : ['waiting' => 0, 'decide' => 0, 'over' => []];
        $came = $decides ? $this->arrivals->ofTwoWeeks($now) : [];
        $due = $this->due($now, $seesAll ? null : $staff);

        return new JsonResponse([
            'now' => $now->format(\DATE_RFC3339),
            'day' => $day,
            'opens' => $this->business->business()->opens(),
            'closes' => $this->business->business()->closes(),
            'waitingCount' => $counts['waiting'],
            'standsOut' => $decides
                ? $this->standsOut->of($counts, $this->diary->needsOf($now->modify('-1 day')->format('Y-m-d'), $now->modify('+1 day')->format('Y-m-d')), $came, $day)
                : [],
            'waiting' => $decides ? $this->arrivals->waiting($now) : [],
            'visits' => $this->diary->show($day, $day, $seesAll ? null : $staff)['appointments'],
            'tasks' => $this->tasks->rows(\array_slice($due, 0, self::MOST)),
            'moreTasks' => \count($due) > self::MOST,
            'quotes' => $this->viewer->may(Permission::SeeQuotes) ? $this->quotes->show() : ['items' => [], 'count' => 0, 'sum' => ''],
            'arrivals' => $came,
        ]);
    }

    /** @return list<Task> open and due, or finished today; by project, the earliest due first */
    private function due(\DateTimeImmutable $now, ?Staff $of): array
    {
        $query = $this->em->createQueryBuilder()->select('t', 'p', 'c', 's')->from(Task::class, 't')->join('t.project', 'p')->join('p.client', 'c')->join('t.assignee', 's')
            ->where("(t.finishedAt IS NULL AND t.due <= :today AND (p.closedAt IS NULL OR t.item LIKE 'care/%')) OR t.finishedAt >= :midnight")
            ->setParameter('today', $now->format('Y-m-d'))->setParameter('midnight', $now->setTime(0, 0), 'datetime_immutable')
            ->orderBy('t.due')->addOrderBy('p.number')->addOrderBy('t.position')->setMaxResults(self::MOST + 1);
        if (null !== $of) {
            $query->andWhere('t.assignee = :of')->setParameter('of', $of);
        }

        /** @var list<Task> $found */
        $found = $query->getQuery()->getResult();

        return $found;
    }
}
