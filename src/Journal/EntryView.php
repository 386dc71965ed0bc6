<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Record\Action;
use Telamon\Record\PartOf;
use Telamon\Record\Records;
use Telamon\Staff\Permission;

/** Tells a journal entry in words, as JournalEntry in the contract. */
final readonly class EntryView
{
    /** Columns that repeat others or only serve the machine. */
    private const UNTOLD = ['sortName', 'matchKey', 'decidedAt', 'decidedBy', 'passwordHash'];

    public function __construct(private Profile $business, private Records $records, private Viewer $viewer)
    {
    }

    /** @return array<string, mixed> */
    public function show(JournalEntry $entry): array
    {
        $change = $entry->change;

        return [
            'id' => $entry->id,
            'at' => $change->at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'by' => $change->by(),
            'words' => match ($entry->action) {
                Action::Made => 'made ',
                Action::Changed => 'changed ',
                Action::Removed => 'took away ',
            }.self::kind($entry)." {$entry->recordLabel}",
            'record' => ['id' => 'client' === $entry->recordKind ? $entry->clientId ?? $entry->recordId : $entry->recordId] + $entry->record(),
            'change' => ['id' => $change->id, 'words' => $change->words],
            'changes' => Action::Changed === $entry->action ? self::fields($entry) : [],
            'submission' => null === $change->submissionId || !$this->viewer->may(Permission::Decide) ? null : $this->records->ref('submission', $change->submissionId, 'the submission'),
            'undone' => null !== $change->undoneAt,
        ];
    }

    /** A part of a record is told as what it is. */
    private static function kind(JournalEntry $entry): string
    {
        return is_a($entry->recordClass, PartOf::class, true) ? $entry->recordClass::partKind() : $entry->recordKind;
    }

    /** @return list<array{field: string, from: string, to: string}> */
    private static function fields(JournalEntry $entry): array
    {
        $fields = [];
        foreach ($entry->after as $name => $to) {
            if (!\in_array($name, self::UNTOLD, true)) {
                $fields[] = [
                    'field' => strtolower((string) preg_replace('/(?<=[a-z])[A-Z]/', ' $0', $name)),
                    'from' => self::text($entry->before[$name] ?? null),
                    'to' => self::text($to),
                ];
            }
        }

        return $fields;
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            null === $value => '',
            \is_scalar($value) => 1 === preg_match('/^[0-9a-f]{8}-[0-9a-f]{4}-7/', (string) $value) ? 'linked' : (string) $value,
            default => json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
        };
    }
}
