<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Record\Action;
use Telamon\Record\TakenBack;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Does again what was taken back, by the journal of the taking back: the same records with the same ids. */
final readonly class Redo
{
    private const MANY = 1000;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private ColumnValues $values,
        private BroughtBack $back, private UndoRights $rights, private Outside $outside, private MessageBusInterface $bus, private ClockInterface $clock)
    {
    }

    /**
     * @return array{words: string, undone: int, kept: list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}>} as Undone in the contract
     *
     * @throws Refusal when there is nothing to do again
     */
    public function redo(string $changeId, ?Staff $staff, bool $asked = true): array
    {
        $change = $this->em->find(Change::class, $changeId) ?? throw new NotThere('change');
        $again = new Change(
            ChangeKind::Undo,
            mb_substr('did again: '.$change->words, 0, 300),
            $staff,
            $this->clock->now(),
            $change->submissionId,
            $change->recordKind,
            $change->recordId,
            $change->recordLabel,
        );

        return $this->changes->carryOut($again, function () use ($change, $staff, $asked): array {
            $this->em->refresh($change);
            $taking = $this->em->getRepository(Change::class)->findOneBy(['undoes' => $change->id, 'undoneAt' => null], ['id' => 'DESC']);
            if (null === $change->undoneAt || null === $taking) {
                throw new NothingToDoAgain();
            }
            $entries = $this->em->getRepository(JournalEntry::class)->findBy(['change' => $taking], ['id' => 'DESC'], self::MANY + 1);
            if (\count($entries) > self::MANY) {
                throw new TooMuchToDoAgain();
            }
            $this->rights->refuse($entries, $staff);
            if (!$asked) {
                $this->outside->askFirst($entries);
            }
            $change->doneAgain();
            $taking->takenBack($this->clock->now());
            [$done, $kept] = $this->again($entries);

            return ['words' => 'Done again: '.$change->words, 'undone' => $done, 'kept' => $kept];
        });
    }

    /**
     * @param list<JournalEntry> $entries last first
     *
     * @return array{int, list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}>}
     */
    private function again(array $entries): array
    {
        $kept = [];
        $done = $this->back->of($entries);
        foreach ($entries as $entry) {
            // What the taking back made again goes again.
            $record = Action::Made === $entry->action ? $this->em->find($entry->recordClass, $entry->recordId) : null;
            if (null !== $record) {
                $this->em->remove($record);
                ++$done;
            }
        }
        $this->em->flush();
        foreach ($entries as $entry) {
            if (Action::Changed === $entry->action) {
                $done += $this->change($entry, $kept);
            }
        }

        return [$done, $kept];
    }

    /** @param list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}> $kept */
    private function change(JournalEntry $entry, array &$kept): int
    {
        $record = $this->em->find($entry->recordClass, $entry->recordId);
        if (null === $record) {
            return 0;
        }
        $now = $this->values->all($this->em, $record);
        $done = 0;
        foreach ($entry->after as $name => $after) {
            if ($this->rights->isLasting($entry->recordClass, $name)) {
                $kept[] = ['record' => $entry->record(), 'why' => 'who may sign in, and what they may do, is changed by hand alone'];
            } elseif (($now[$name] ?? null) === $after) {
                $this->values->restore($this->em, $record, $name, $entry->before[$name] ?? null);
                $done = 1;
            } elseif (($now[$name] ?? null) !== ($entry->before[$name] ?? null)) {
                $kept[] = ['record' => $entry->record(), 'why' => 'changed since'];
            }
        }
        $job = $record instanceof TakenBack && 1 === $done ? $record->goOn() : null;
        if (null !== $job) {
            $this->bus->dispatch($job);
        }

        return $done;
    }
}
