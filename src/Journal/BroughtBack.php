<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Record\Action;
use Telamon\Staff\Staff;

/** Makes records again that a change removed, as the journal has them: the same ids, the same values. */
final readonly class BroughtBack
{
    public function __construct(private EntityManagerInterface $em, private ColumnValues $values)
    {
    }

    /**
     * @param list<JournalEntry> $entries of one change
     *
     * @return int how many
     */
    public function of(array $entries): int
    {
        $made = [];
        $removed = array_filter($entries, static fn (JournalEntry $entry): bool => Action::Removed === $entry->action);
        foreach ($removed as $entry) {
            // An account that is gone stays gone: whoever made it again would let somebody in.
            if (Staff::class !== $entry->recordClass && null === $this->em->find($entry->recordClass, $entry->recordId)) {
                $meta = $this->em->getClassMetadata($entry->recordClass);
                $record = $meta->newInstance();
                $meta->setFieldValue($record, 'id', $entry->recordId);
                $made[$entry->recordId] = $record;
            }
        }
        // First all of them, then what they point at: one may belong to another.
        foreach ($removed as $entry) {
            if (isset($made[$entry->recordId])) {
                foreach ($entry->before as $name => $value) {
                    $this->values->restore($this->em, $made[$entry->recordId], $name, $value, $made);
                }
                $this->em->persist($made[$entry->recordId]);
            }
        }
        $this->em->flush();

        return \count($made);
    }
}
