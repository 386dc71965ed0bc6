<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Record\Action;
use Telamon\Record\Journaled;

/** Carries changes out: one transaction, one entry in the list of changes, everything journaled under it. */
final readonly class Changes
{
    /** Listeners that write set listeners off again; a chain that is longer goes round in circles. */
    private const LONGEST_CHAIN = 20;
    /** Letters of the words of a change, and of the name of what it is about. */
    private const LONGEST = 300;

    public function __construct(private EntityManagerInterface $em, private CurrentChange $current, private EventDispatcherInterface $events, private ClockInterface $clock)
    {
    }

    /**
     * Where what is looked at has another version by now, Doctrine's OptimisticLockException is thrown, which is answered as 409.
     *
     * @template T
     *
     * @param Act|Change $act a change where there is one already: carried on with, or its id is told
     * @param callable(): T $work does not flush
     *
     * @return T
     */
    public function carryOut(Act|Change $act, callable $work): mixed
    {
        return $this->em->wrapInTransaction(function () use ($act, $work): mixed {
            $change = $act instanceof Act ? $this->change($act) : $act;
            $this->current->begin($change);
            try {
                $this->em->persist($change);
                $this->lookAgain($act instanceof Act ? $act->looked : []);
                $result = $work();
                $this->settle();

                return $result;
            } finally {
                $this->current->end();
            }
        });
    }

    /** What will be written down of an act, for whoever has to name it. */
    public function change(Act $act): Change
    {
        return new Change(
            $act->kind,
            mb_substr($act->words, 0, self::LONGEST),
            $act->by,
            $act->at ?? $this->clock->now(),
            $act->submissionId,
            $act->recordKind,
            $act->recordId,
            mb_substr($act->recordLabel, 0, self::LONGEST),
        );
    }

    /** @param list<array{object, int|null}> $looked */
    private function lookAgain(array $looked): void
    {
        foreach ($looked as [$record, $version]) {
            $this->em->refresh($record);
            if (null !== $version) {
                $this->em->lock($record, LockMode::OPTIMISTIC, $version);
            }
        }
    }

    /** The change that a record came from, for a sending that came twice; null where it is not on file. */
    public function thatMade(string $recordId): ?Change
    {
        return $this->em->getRepository(JournalEntry::class)->findOneBy(['recordId' => $recordId, 'action' => Action::Made], ['seq' => 'ASC'])?->change;
    }

    /**
     * Has everybody who listens hear of what the change under way has written so far. It is done at its end in any
     * case; whoever wants to tell what came of it asks before.
     *
     * @return list<Journaled> what was made or changed because of it
     */
    public function settle(): array
    {
        $touched = [];
        for ($round = 0; $round < self::LONGEST_CHAIN; ++$round) {
            $this->em->flush();
            $written = $this->current->written();
            // What is taken back, or done again, sets nothing off a second time.
            if (null === $written || ChangeKind::Undo === $written->change->kind) {
                break;
            }
            $this->events->dispatch($written);
            array_push($touched, ...$written->touched());
        }

        return $touched;
    }
}
