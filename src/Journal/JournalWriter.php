<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Event\OnFlushEventArgs;
use Doctrine\ORM\Events;
use Doctrine\ORM\Mapping\ClassMetadata;
use Telamon\Record\Action;
use Telamon\Record\Journaled;

/** Writes the journal, in the same transaction as the change, whoever makes it. */
#[AsDoctrineListener(Events::onFlush)]
final readonly class JournalWriter
{
    public function __construct(private CurrentChange $current, private ColumnValues $values)
    {
    }

    public function onFlush(OnFlushEventArgs $args): void
    {
        $em = $args->getObjectManager();
        $unit = $em->getUnitOfWork();
        $entries = [];
        foreach ($unit->getScheduledEntityInsertions() as $record) {
            if ($record instanceof Journaled) {
                $entries[] = $this->entry($em, $record, Action::Made, [], $this->values->all($em, $record));
            }
        }
        foreach ($unit->getScheduledEntityUpdates() as $record) {
            if ($record instanceof Journaled) {
                [$before, $after] = $this->values->changed($em, $record);
                if ([] !== $after) {
                    $entries[] = $this->entry($em, $record, Action::Changed, $before, $after);
                }
            }
        }
        foreach ($unit->getScheduledEntityDeletions() as $record) {
            if ($record instanceof Journaled) {
                $entries[] = $this->entry($em, $record, Action::Removed, $this->values->all($em, $record), []);
            }
        }
        foreach ($entries as $entry) {
            $em->persist($entry);
            $unit->computeChangeSet($em->getClassMetadata(JournalEntry::class), $entry);
        }
    }

    /**
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    private function entry(EntityManagerInterface $em, Journaled $record, Action $action, array $before, array $after): JournalEntry
    {
        $change = $this->current->get() ?? throw new \LogicException($record->recordLabel().' is written outside a change');
        $context = $record->recordContext();
        $meta = $em->getClassMetadata($record::class);
        $this->current->wrote(new WrittenRecord($record, self::id($meta, $record), $action, $before, $after));

        return new JournalEntry(
            $change,
            $action,
            $meta->getName(),
            $record->recordKind(),
            self::id($meta, $record),
            mb_substr($record->recordLabel(), 0, 300),
            $context['client'],
            $context['project'],
            $before,
            $after,
        );
    }

    /** @param ClassMetadata<Journaled> $meta */
    private static function id(ClassMetadata $meta, Journaled $record): string
    {
        $id = $meta->getIdentifierValues($record)['id'] ?? null;

        return \is_string($id) ? $id : throw new \LogicException('journaled records have an id');
    }
}
