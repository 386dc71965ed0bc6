<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Core\Time\DayWords;
use Telamon\Core\Time\HoursInWords;
use Telamon\Record\Action;
use Telamon\Record\Journaled;
use Telamon\Record\PartOf;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Tells a journal entry in words, as JournalEntry in the contract. */
final readonly class EntryView
{
    /** Columns that repeat others or only serve the machine. */
    private const UNTOLD = ['sortName', 'matchKey', 'decidedAt', 'decidedBy', 'passwordHash', 'lastContact', 'logoId'];

    /** Ids of staff, and times by day of the week: told as people write them. */
    private const STAFF = 'among';
    private const HOURS = 'hours';

    public function __construct(private EntityManagerInterface $em, private Profile $business, private Records $records, private Viewer $viewer, private ClockInterface $clock)
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
            'change' => ['id' => $change->id, 'words' => $this->isTold($entry) ? $change->words : 'changed it'],
            'changes' => Action::Changed === $entry->action ? $this->fields($entry) : [],
            'submission' => null === $change->submissionId || !$this->viewer->may(Permission::Decide)
                ? null
                : $this->records->ref('submission', $change->submissionId, 'the submission'),
            'undone' => null !== $change->undoneAt,
        ];
    }

    /** Whether what the change was mainly about may be read by whoever looks: its words name it. */
    private function isTold(JournalEntry $entry): bool
    {
        $about = $entry->change->recordId;

        return $this->viewer->may(Permission::SeeAll) || $entry->change->staff
            ?->getUserIdentifier() === $this->viewer
            ->name() || (null !== $about && (\in_array($about, [$entry->recordId, $entry->projectId], true) || \in_array(
                $about,
                [...$this->viewer->projects() ?? [], ...$this->viewer->clients() ?? []],
                true,
            )));
    }

    /** A part of a record is told as what it is. */
    private static function kind(JournalEntry $entry): string
    {
        return is_a($entry->recordClass, PartOf::class, true) ? $entry->recordClass::partKind() : $entry->recordKind;
    }

    /** @return list<array{field: string, from: string, to: string}> */
    private function fields(JournalEntry $entry): array
    {
        $fields = [];
        foreach ($entry->after as $name => $to) {
            if (!\in_array($name, self::UNTOLD, true)) {
                $fields[] = [
                    'field' => strtolower((string) preg_replace('/(?<=[a-z])[A-Z]/', ' $0', $name)),
                    'from' => $this->text($entry, $name, $entry->before[$name] ?? null),
                    'to' => $this->text($entry, $name, $to),
                ];
            }
        }

        return $fields;
    }

    /** A value as people read it: another record by its name, a moment in the business's time zone, a list with commas. */
    private function text(JournalEntry $entry, string $name, mixed $value): string
    {
        if (null === $value || '' === $value || [] === $value) {
            return '';
        }
        $meta = $this->em->getClassMetadata($entry->recordClass);
        if ($meta->hasAssociation($name)) {
            $record = $this->em->find($meta->getAssociationTargetClass($name), $value);

            return match (true) {
                !$record instanceof Journaled => 'one that is gone',
                $record instanceof Staff || $this->viewer->sees($record) => $record->recordLabel(),
                default => 'another one',
            };
        }
        if (\is_array($value) && self::STAFF === $name) {
            return implode(', ', array_map(fn (mixed $id): string => $this->em->find(Staff::class, $id)->name ?? 'somebody who is gone', $value));
        }
        if (\is_array($value) && self::HOURS === $name) {
            /** @var array<int, list<array{string, string}>> $value */
            return HoursInWords::of($value);
        }
        if (\is_array($value)) {
            return array_is_list($value) && [] === array_filter($value, static fn (mixed $one): bool => !\is_scalar($one))
                ? implode(', ', array_map(strval(...), $value))
                : json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        }
        $type = $meta->hasField($name) ? $meta->getFieldMapping($name)->type : '';

        return match (true) {
            'boolean' === $type => 1 === (int) (is_numeric($value) ? $value : 0) || true === $value ? 'yes' : 'no',
            'date_immutable' === $type && \is_string($value) => $this->day($value),
            'datetime_immutable' === $type && \is_string($value) => $this->moment($value),
            \is_scalar($value) => (string) $value,
            default => '',
        };
    }

    private function day(string $iso): string
    {
        return DayWords::short(new \DateTimeImmutable($iso, new \DateTimeZone('UTC')), $this->today());
    }

    /** @param string $utc as the database has it */
    private function moment(string $utc): string
    {
        $at = (new \DateTimeImmutable($utc, new \DateTimeZone('UTC')))->setTimezone($this->business->zone());

        return DayWords::short($at, $this->today()).', '.$at->format('H:i');
    }

    private function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->business->zone());
    }
}
