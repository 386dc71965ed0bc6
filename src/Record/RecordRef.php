<?php

declare(strict_types=1);

namespace Telamon\Record;

/** Names a record: its kind, its id and what people call it. */
final class RecordRef
{
    /** @return array{kind: string, id: string, label: string, path: string|null} as RecordRef in the contract */
    public static function of(Journaled $record): array
    {
        /** @var Journaled&object{id: string} $record */
        $context = $record->recordContext();

        return [
            'kind' => $record->recordKind(),
            'id' => $record->id,
            'label' => $record->recordLabel(),
            'path' => $record::pathOf($record->id, $context['client'], $context['project']),
        ];
    }

    /** @return array{kind: string, id: string, label: string, path: string|null}|null */
    public static function maybe(?Journaled $record): ?array
    {
        return null === $record ? null : self::of($record);
    }
}
