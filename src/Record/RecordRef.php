<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Names a record: its kind, its id and what people call it. */
final class RecordRef
{
    /** @return array{kind: string, id: string, label: string} as RecordRef in the contract */
    public static function of(Journaled $record): array
    {
        /** @var Journaled&object{id: string} $record */
        return ['kind' => $record->recordKind(), 'id' => $record->id, 'label' => $record->recordLabel()];
    }

    /** @return array{kind: string, id: string, label: string}|null */
    public static function maybe(?Journaled $record): ?array
    {
        return null === $record ? null : self::of($record);
    }
}
