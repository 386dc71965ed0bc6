<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Record\Action;
use Telamon\Record\Journaled;

/** Carries changes out: one transaction, one entry in the list of changes, everything journaled under it. */
final readonly class Changes
{
    /** Listeners that write set listeners off again; a chain that is longer goes round in circles. */
    private const LONGEST_CHAIN = 20;

    public function __construct(private EntityManagerInterface $em, private CurrentChange $current, private EventDispatcherInterface $events)
    {
    }

    /**
     * @template T
     *
     * @param callable(): T $work does not flush
     *
     * @return T
     */
    public function carryOut(Change $change, callable $work): mixed
    {
        return $this->em->wrapInTransaction(function () use ($change, $work): mixed {
            $this->current->begin($change);
            try {
                $this->em->persist($change);
                $result = $work();
                $this->settle();

                return $result;
            } finally {
                $this->current->end();
            }
        });
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
