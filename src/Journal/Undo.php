<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Query;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Record\Action;
use Telamon\Record\StandsWithMail;
use Telamon\Record\Stays;
use Telamon\Record\TakenBack;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/**
 * Takes a change back by its journal, last line first. What was sent stays sent; what somebody changed by
 * hand since stays as they left it; what such records hang on stays too. All of that is said.
 */
final readonly class Undo
{
    /** Beyond this many new records they are removed in sets. */
    private const MANY = 1000;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private References $references,
        private ColumnValues $values,
        private BroughtBack $back,
        private BulkRemoval $bulk,
        private UndoRights $rights,
        private Outside $outside,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param bool $now also many records, while one waits; else the worker removes them
     * @param bool $asked whether somebody was asked about what the public would feel, and wants it so
     * @param bool $all also what was changed since: asked for after it was said what stays. What was sent stays even so
     *
     * @return array{words: string, undone: int, kept: list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}>} as Undone in the contract
     *
     * @throws Refusal when it cannot be taken back (any more)
     */
    public function undo(string $changeId, ?Staff $staff, bool $all = false, bool $now = false, bool $asked = true): array
    {
        $change = $this->em->find(Change::class, $changeId) ?? throw new NotThere('change');
        if (!$change->kind->canBeUndone()) {
            throw new CannotBeTakenBack();
        }
        $taking = new Change(
            ChangeKind::Undo,
            'undid: '.$change->words,
            $staff,
            $this->clock->now(),
            $change->submissionId,
            $change->recordKind,
            $change->recordId,
            $change->recordLabel,
        );

        $isMany = false;
        $done = $this->changes->carryOut($taking, function () use ($change, $taking, $all, $now, $asked, $staff, &$isMany): array {
            // Read again under the write lock: somebody may have been quicker.
            $this->em->refresh($change);
            if (null !== $change->undoneAt && !$all) {
                throw new TakenBackAlready('Somebody took this back at '.$change->undoneAt->format('H:i').' UTC.');
            }
            $change->takenBack($taking->at);
            $taking->takesBack($change->id);
            $isMany = $this->em->getRepository(JournalEntry::class)->count(['change' => $change, 'action' => Action::Made]) > self::MANY;
            $entries = $this->entries($change, $isMany ? Action::Changed : null);
            $this->rights->refuse($entries, $staff);
            if (!$asked) {
                $this->outside->askFirst($entries);
            }
            $done = $this->takeBack($entries, $all);
            if ($isMany && !$now) {
                // The worker removes what it made, a few hundred at a time.
                $this->bus->dispatch(new UndoJob($change->id, $taking->id));
            }

            return [
                'words' => ($isMany && !$now ? 'Being undone, and goes on by itself: ' : 'Undone: ').self::called($change),
                'undone' => $done['undone'],
                'kept' => $done['kept'],
            ];
        });
        if ($isMany && $now) {
            $removed = $this->bulk->remove($change, $taking);

            return ['words' => $done['words'], 'undone' => $done['undone'] + $removed['undone'], 'kept' => [...$done['kept'], ...$removed['kept']]];
        }

        return $done;
    }

    /** The worker's part of taking back a change of many records. */
    #[AsMessageHandler]
    public function goOn(UndoJob $job): void
    {
        [$change, $taking] = [$this->em->find(Change::class, $job->changeId), $this->em->find(Change::class, $job->takingId)];
        if (null === $change || null === $taking || null !== $taking->undoneAt) {
            return;
        }
        $db = $this->em->getConnection();
        $this->bulk->remove($change, $taking, static function (int $done, int $all) use ($db, $change): void {
            $db->executeStatement('UPDATE client_import SET state = ?, done = ?, total = ? WHERE change_id = ?', [$done >= $all ? 'undone' : 'undoing', $done, $all, $change->id]);
        });
        $db->executeStatement("UPDATE client_import SET state = 'undone' WHERE change_id = ?", [$change->id]);
    }

    /** @return list<JournalEntry> last first, as the database has them */
    private function entries(Change $change, ?Action $action = null): array
    {
        $query = $this->em->createQueryBuilder()
            ->select('e')
            ->from(JournalEntry::class, 'e')
            ->where('e.change = :change')
            ->setParameter('change', $change)
            ->orderBy('e.seq', 'DESC');
        if (null !== $action) {
            $query->andWhere('e.action = :action')->setParameter('action', $action);
        }
        /** @var list<JournalEntry> $entries */
        $entries = $query->getQuery()->setHint(Query::HINT_REFRESH, true)->getResult();

        return $entries;
    }

    /**
     * @param list<JournalEntry> $entries last first
     *
     * @return array{undone: int, kept: list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}>}
     */
    private function takeBack(array $entries, bool $all = false): array
    {
        // What it removed is there again, for the rest to point at.
        $undone = $this->back->of($entries);
        $kept = [];
        $made = [];
        $seen = [];
        $hasLeft = $this->hasLeft($entries);
        foreach ($entries as $entry) {
            $record = $this->em->find($entry->recordClass, $entry->recordId);
            if (null === $record) {
                continue;
            }
            // Once each: a record may have several entries, and what was put back for one must not be read over.
            if (!isset($seen[$entry->recordId])) {
                $this->em->refresh($record);
                $seen[$entry->recordId] = true;
            }
            if (Action::Made === $entry->action) {
                $made[$entry->recordId] = [$entry, $record];
            } elseif (Action::Changed === $entry->action && $hasLeft && $record instanceof StandsWithMail) {
                $kept[] = self::kept($entry, 'the mail has left; make another one instead');
            } elseif (Action::Changed === $entry->action) {
                $undone += $this->restore($entry, $record, $kept, $all);
            }
        }
        // References that were just put back no longer hold anything.
        $this->em->flush();
        foreach ($made as $id => [$entry, $record]) {
            if ($record instanceof TakenBack) {
                $undone += self::stop($entry, $record, $kept);
                unset($made[$id]);
            }
        }
        $this->em->flush();
        $staying = $this->staying($made, $all);
        foreach ($made as $id => [$entry, $record]) {
            if (isset($staying[$id])) {
                $kept[] = self::kept($entry, $staying[$id]);
            } else {
                $this->references->release($record);
                $this->em->remove($record);
                ++$undone;
            }
        }

        return ['undone' => $undone, 'kept' => $kept];
    }

    /**
     * Whether something that a change made cannot be stopped any more.
     *
     * @param list<JournalEntry> $entries
     */
    private function hasLeft(array $entries): bool
    {
        foreach ($entries as $entry) {
            $record = Action::Made === $entry->action && is_a($entry->recordClass, TakenBack::class, true) ? $this->em->find($entry->recordClass, $entry->recordId) : null;
            if (null !== $record && null !== $record->staysBecause()) {
                return true;
            }
        }

        return false;
    }

    /** @param list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}> $kept */
    private function restore(JournalEntry $entry, object $record, array &$kept, bool $all): int
    {
        $now = $this->values->all($this->em, $record);
        $restored = 0;
        foreach ($entry->after as $name => $after) {
            if (($now[$name] ?? null) === ($entry->before[$name] ?? null)) {
                continue;
            }
            if ($this->rights->isLasting($entry->recordClass, $name)) {
                $kept[] = self::kept($entry, 'who may sign in, and what they may do, is changed by hand alone');
                continue;
            }
            if ($all || ($now[$name] ?? null) === $after) {
                $this->values->restore($this->em, $record, $name, $entry->before[$name] ?? null);
                $restored = 1;
            } else {
                $kept[] = self::kept($entry, 'changed since');
            }
        }

        return $restored;
    }

    /** @param list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}> $kept */
    private static function stop(JournalEntry $entry, TakenBack $record, array &$kept): int
    {
        $why = $record->staysBecause();
        if (null !== $why) {
            $kept[] = self::kept($entry, $why);

            return 0;
        }
        $record->stop();

        return 1;
    }

    /**
     * @param array<string, array{JournalEntry, object}> $made by record id
     *
     * @return array<string, string> why a record stays, by its id
     */
    private function staying(array $made, bool $all): array
    {
        $staying = [];
        foreach ($made as $id => [$entry, $record]) {
            $by = $all ? null : $this->changedSince($entry);
            $why = $record instanceof Stays ? $record->staysBecause() : null;
            if (null !== $why) {
                $staying[$id] = $why;
            } elseif (null !== $by) {
                $staying[$id] = "changed since by $by";
            }
        }
        do {
            $before = \count($staying);
            $going = array_diff_key($made, $staying);
            foreach ($going as $id => [$entry, $record]) {
                // What a record owns that stays is not taken from it.
                $owner = $this->references->owner($record, array_intersect_key(array_map(static fn (array $one): object => $one[1], $made), $staying));
                if (null !== $owner) {
                    $staying[$id] = "belongs to $owner, which stays";
                    continue;
                }
                $holder = $this->references->holder($record, array_keys($going));
                if (null !== $holder) {
                    $staying[$id] = "needed by $holder";
                }
            }
        } while (\count($staying) > $before);

        return $staying;
    }

    private function changedSince(JournalEntry $entry): ?string
    {
        $later = $this->em->createQueryBuilder()
            ->select('e')->from(JournalEntry::class, 'e')->join('e.change', 'c')
            ->where('e.recordId = :id')->andWhere('c <> :change')->andWhere('c.undoneAt IS NULL')->andWhere('e.seq > :after')->andWhere('c.kind <> :undo')
            ->setParameters(new \Doctrine\Common\Collections\ArrayCollection([
                new Query\Parameter('id', $entry->recordId),
                new Query\Parameter('change', $entry->change),
                new Query\Parameter('after', $entry->seq),
                new Query\Parameter('undo', ChangeKind::Undo->value),
            ]))
            ->setMaxResults(1)->getQuery()->getOneOrNullResult();

        return $later instanceof JournalEntry ? $later->change->by() : null;
    }

    /** What was undone, in words: of a plan, whose it was. */
    private static function called(Change $change): string
    {
        return ChangeKind::Accept === $change->kind ? preg_replace('/^accepted the plan for (.+)$/', '$1’s plan', $change->words) ?? $change->words : $change->words;
    }

    /** @return array{record: array{kind: string, id: string, label: string, path: string|null}, why: string} */
    private static function kept(JournalEntry $entry, string $why): array
    {
        return ['record' => $entry->record(), 'why' => $why];
    }
}
