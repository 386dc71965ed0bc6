<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Queue\Every;

/** The worker moves on whoever's time has come: each in a change of its own, looked at again under the write lock. */
#[AsEventListener]
final class FollowUpSweep
{
    private const MOST_AT_ONCE = 100;

    private readonly Every $every;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Changes $changes, private readonly Walking $walking, private readonly ClockInterface $clock)
    {
        $this->every = new Every(5);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue($this->clock->now())) {
            $this->sweep();
        }
    }

    /** @return int how many moved on */
    public function sweep(): int
    {
        /** @var list<FollowUpRun> $due */
        $due = $this->em->createQueryBuilder()->select('r')->from(FollowUpRun::class, 'r')->where('r.state = :inside AND r.dueAt <= :now')
            ->setParameter('inside', RunState::Inside->value)->setParameter('now', $this->clock->now()->setTimezone(new \DateTimeZone('UTC')))->orderBy('r.dueAt')->setMaxResults(self::MOST_AT_ONCE)->getQuery()->getResult();
        foreach ($due as $run) {
            $label = $run->recordLabel();
            $this->changes->carryOut(new Change(ChangeKind::Send, mb_substr("went on with $label", 0, 300), null, $this->clock->now(), $run->submissionId, 'client', $run->client->id, mb_substr($run->client->name(), 0, 300)), function () use ($run): void {
                $this->em->refresh($run);
                if (RunState::Inside === $run->state && null !== $run->dueAt && $run->dueAt <= $this->clock->now()) {
                    $this->walking->go($run);
                }
            });
        }

        return \count($due);
    }
}
