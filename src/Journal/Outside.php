<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Record\Action;
use Telamon\Record\FeltOutside;
use Telamon\Refusal\Refusal;

/** What the public would feel of an undo or a redo: it is asked first, with what would happen. */
final readonly class Outside
{
    /**
     * @param list<JournalEntry> $entries that would be set back
     *
     * @throws Refusal
     */
    public function askFirst(array $entries): void
    {
        $felt = array_values(array_unique(array_filter(array_map($this->words(...), $entries), static fn (string $words): bool => '' !== $words)));
        if ([] !== $felt) {
            throw new FeltByThePublic(ucfirst(implode('; ', $felt)).'.');
        }
    }

    private function words(JournalEntry $entry): string
    {
        if (Action::Changed !== $entry->action) {
            return '';
        }
        $class = new \ReflectionClass($entry->recordClass);
        foreach ($entry->before as $name => $before) {
            if ($class->hasProperty($name) && [] !== $class->getProperty($name)->getAttributes(FeltOutside::class)) {
                return match (true) {
                    null === $before, false === $before, 0 === $before => "it takes “{$entry->recordLabel}” offline: nobody can use it until it is live again",
                    null === ($entry->after[$name] ?? null), false === $entry->after[$name],
                    0 === $entry->after[$name] => "it puts “{$entry->recordLabel}” online again, as it was",
                    default => "it changes what the public finds under “{$entry->recordLabel}”",
                };
            }
        }

        return '';
    }
}
