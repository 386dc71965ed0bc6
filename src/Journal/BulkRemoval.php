<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\ForeignKeyConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;
use Telamon\Database\Ids;
use Telamon\Queue\TimeLimit;
use Telamon\Record\Action;
use Telamon\Record\RecordsRemoved;

/**
 * Removes what a change of many records made, in short stretches with a pause between them, so that the database is not
 * held from the public; by the same rules as Undo. What stays is worked out beforehand, without holding anything.
 */
final class BulkRemoval
{
    private const TOLD = 100;
    private const AT_ONCE = 250;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Connection $db, private readonly EventDispatcherInterface $events)
    {
    }

    /**
     * Outside of any transaction. Taken up again after a worker died, it goes on with what is left.
     *
     * @param \Closure(int, int): void|null $progress told how many are done, and of how many
     *
     * @return array{undone: int, kept: list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}>}
     */
    public function remove(Change $made, Change $taking, ?\Closure $progress = null): array
    {
        $kept = $this->prepare($made, $taking);
        $left = $this->db->fetchOne('SELECT COUNT(*) FROM going');
        $all = is_numeric($left) ? (int) $left : 0;
        $done = 0;
        $tries = 0;
        do {
            $began = hrtime(true);
            try {
                $removed = $this->stretch($made, $taking);
                $tries = 0;
            } catch (ForeignKeyConstraintViolationException $error) {
                // Something has come to point at one of them meanwhile: it stays now.
                if (++$tries > 3) {
                    throw $error;
                }
                $kept = [...$kept, ...$this->prepare($made, $taking)];
                $removed = 1;
                continue;
            }
            $done += $removed;
            if (null !== $progress) {
                $progress($done, $all);
            }
            // As long as it took: whoever sends a form meanwhile gets the lock in between.
            TimeLimit::stretch();
            usleep((int) min(250_000, (hrtime(true) - $began) / 1000));
        } while ($removed > 0);

        return ['undone' => $done, 'kept' => \array_slice($kept, 0, self::TOLD)];
    }

    /** @return list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}> what stays */
    private function prepare(Change $made, Change $taking): array
    {
        $this->db->executeStatement('CREATE TEMPORARY TABLE IF NOT EXISTS going (record_id TEXT PRIMARY KEY, entry_id TEXT, seq INTEGER)');
        $this->db->executeStatement('CREATE TEMPORARY TABLE IF NOT EXISTS batch (record_id TEXT PRIMARY KEY, entry_id TEXT, seq INTEGER)');
        $this->db->executeStatement('CREATE INDEX IF NOT EXISTS temp.going_seq ON going (seq)');
        $this->db->executeStatement('DELETE FROM going');
        $this->db->executeStatement(
            "INSERT INTO going SELECT record_id, id, seq FROM journal_entry WHERE change_id = ? AND action = 'made' AND record_id NOT IN (SELECT record_id FROM journal_entry WHERE change_id = ? AND action = 'removed')",
            [$made->id, $taking->id],
        );
        $kept = [...$this->keep('changed since', $this->changedSince(), [$made->id]), ...$this->keepWhatIsNeeded($made)];
        $this->keepWhatBelongs($made);

        return $kept;
    }

    /** The last that were made, and are still as they were: what points at others goes before them. */
    private function stretch(Change $made, Change $taking): int
    {
        return $this->db->transactional(function () use ($made, $taking): int {
            $this->db->executeStatement('PRAGMA defer_foreign_keys = ON');
            $this->db->executeStatement('DELETE FROM batch');
            $this->db->executeStatement('INSERT INTO batch SELECT record_id, entry_id, seq FROM going ORDER BY seq DESC LIMIT '.self::AT_ONCE);
            $this->db->executeStatement('DELETE FROM going WHERE record_id IN (SELECT record_id FROM batch)');
            $since = str_replace('going g', 'batch g', $this->changedSince());
            $this->db->executeStatement("DELETE FROM batch WHERE record_id IN ($since)", [$made->id]);
            $ids = [];
            foreach ($this->db->fetchAllAssociative('SELECT e.* FROM batch g JOIN journal_entry e ON e.id = g.entry_id') as $row) {
                $ids[] = self::text($row, 'record_id');
                $this->db->executeStatement(
                    'INSERT INTO journal_entry (id, action, record_class, record_kind, record_id, record_label, client_id, project_id, "before", "after", change_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
                    [
                        Ids::next(),
                        Action::Removed->value,
                        $row['record_class'],
                        $row['record_kind'],
                        $row['record_id'],
                        $row['record_label'],
                        $row['client_id'],
                        $row['project_id'],
                        $row['after'],
                        '[]',
                        $taking->id,
                    ],
                );
            }
            foreach ($this->classes($made) as $class) {
                $this->db->executeStatement('DELETE FROM '.$this->em->getClassMetadata($class)->getTableName().' WHERE id IN (SELECT record_id FROM batch)');
            }
            $this->events->dispatch(new RecordsRemoved($ids));

            return \count($ids);
        });
    }

    private function changedSince(): string
    {
        return "SELECT g.record_id FROM going g JOIN journal_entry e ON e.record_id = g.record_id AND e.seq > g.seq AND e.change_id <> ?
            JOIN change_set c ON c.id = e.change_id AND c.undone_at IS NULL AND c.kind <> '".ChangeKind::Undo->value."'";
    }

    /** @return list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}> */
    private function keepWhatIsNeeded(Change $made): array
    {
        $kept = [];
        do {
            $more = [];
            foreach ($this->classes($made) as $class) {
                foreach ($this->pointers($class) as [$table, $column]) {
                    array_push(
                        $more,
                        ...$this->keep(
                            'needed by something that came later',
                            "SELECT t.$column FROM $table t WHERE t.$column IN (SELECT record_id FROM going) AND t.id NOT IN (SELECT record_id FROM going)",
                            [],
                        ),
                    );
                }
            }
            array_push($kept, ...$more);
        } while ([] !== $more);

        return \array_slice($kept, 0, self::TOLD);
    }

    /**
     * @param list<string> $parameters
     *
     * @return list<array{record: array{kind: string, id: string, label: string, path: string|null}, why: string}>
     */
    private function keep(string $why, string $select, array $parameters): array
    {
        $kept = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT e.record_class, e.record_kind, e.record_id, e.record_label, e.client_id, e.project_id FROM going g JOIN journal_entry e ON e.id = g.entry_id WHERE g.record_id IN ($select)",
            $parameters,
        ) as $row) {
            $kept[] = [
                'record' => JournalEntry::named(
                    self::text($row, 'record_class'),
                    self::text($row, 'record_kind'),
                    self::text($row, 'record_id'),
                    self::text($row, 'record_label'),
                    self::text($row, 'client_id'),
                    self::text($row, 'project_id'),
                ),
                'why' => $why,
            ];
        }
        if ([] !== $kept) {
            $this->db->executeStatement("DELETE FROM going WHERE record_id IN ($select)", $parameters);
        }

        return $kept;
    }

    /** A client that stays keeps its mail addresses and numbers. */
    private function keepWhatBelongs(Change $made): void
    {
        $this->db->executeStatement(
            "DELETE FROM going WHERE entry_id IN (SELECT e.id FROM journal_entry e JOIN journal_entry o ON o.record_id = e.client_id AND o.change_id = e.change_id AND o.action = 'made'
                WHERE e.change_id = ? AND e.record_id <> e.client_id AND e.client_id NOT IN (SELECT record_id FROM going))",
            [$made->id],
        );
    }

    /** @return list<class-string> */
    private function classes(Change $made): array
    {
        $classes = [];
        foreach ($this->db->fetchFirstColumn("SELECT DISTINCT record_class FROM journal_entry WHERE change_id = ? AND action = 'made'", [$made->id]) as $class) {
            if (\is_string($class) && class_exists($class)) {
                $classes[] = $class;
            }
        }

        return $classes;
    }

    /**
     * @param class-string $class
     *
     * @return list<array{string, string}> tables and columns that may point at such a record
     */
    private function pointers(string $class): array
    {
        $pointers = [];
        foreach ($this->em->getMetadataFactory()->getAllMetadata() as $meta) {
            foreach ($meta->getAssociationNames() as $property) {
                if ($meta->isSingleValuedAssociation($property) && !$meta->isAssociationInverseSide($property) && $meta->getAssociationTargetClass($property) === $class) {
                    $pointers[] = [$meta->getTableName(), $meta->getSingleAssociationJoinColumnName($property)];
                }
            }
        }

        return $pointers;
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name] ?? null) ? $row[$name] : '';
    }
}
