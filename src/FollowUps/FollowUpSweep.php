<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\DBAL\Exception\RetryableException;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
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
    private const LATER = '+1 hour';

    private readonly Every $every;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Changes $changes, private readonly Walking $walking, private readonly ClockInterface $clock, private readonly LoggerInterface $logger)
    {
        $this->every = new Every(5);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue($this->clock->now())) {
            $this->sweep();
        }
    }

    /**
     * @return int how many were due
     *
     * @throws \Throwable where nothing more can be written before the worker begins anew
     */
    public function sweep(): int
    {
        /** @var list<FollowUpRun> $due */
        $due = $this->em->createQueryBuilder()->select('r')->from(FollowUpRun::class, 'r')->where('r.state = :inside AND r.dueAt <= :now')
            ->setParameter('inside', RunState::Inside->value)->setParameter('now', $this->clock->now()->setTimezone(new \DateTimeZone('UTC')))->orderBy('r.dueAt')->setMaxResults(self::MOST_AT_ONCE)->getQuery()->getResult();
        foreach ($due as $run) {
            try {
                $this->goOn($run);
            } catch (RetryableException $error) {
                // The database was busy: the next sweep tries again.
                throw $error;
            } catch (\Throwable $error) {
                $this->putOff($run, $error);
                if (!$this->em->isOpen()) {
                    throw $error;
                }
            }
        }

        return \count($due);
    }

    private function goOn(FollowUpRun $run): void
    {
        $label = $run->recordLabel();
        $this->changes->carryOut(new Change(ChangeKind::Send, mb_substr("went on with $label", 0, 300), null, $this->clock->now(), $run->submissionId, 'client', $run->client->id, mb_substr($run->client->name(), 0, 300)), function () use ($run): void {
            $this->em->refresh($run);
            if (RunState::Inside === $run->state && null !== $run->dueAt && $run->dueAt <= $this->clock->now()) {
                $this->walking->due($run);
            }
        });
    }

    /** One that cannot go on must not keep the others waiting: it is tried again later, and says why. Beside the records, as those may be closed. */
    private function putOff(FollowUpRun $run, \Throwable $error): void
    {
        $this->logger->error('a follow-up could not go on', ['run' => $run->id, 'error' => $error->getMessage()]);
        $this->em->getConnection()->executeStatement('UPDATE follow_up_run SET due_at = :later, why = :why WHERE id = :id AND state = :inside', [
            'later' => $this->clock->now()->modify(self::LATER)->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s'),
            'why' => 'Could not go on; it is tried again within an hour. If it stays so, stop it and write by hand.',
            'id' => $run->id,
            'inside' => RunState::Inside->value,
        ]);
    }
}
