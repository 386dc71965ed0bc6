<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** What a handling rule may put into a plan. */
enum ActionKind: string
{
    case Lead = 'lead';
    case Checklist = 'checklist';
    case Task = 'task';
    case Tag = 'tag';
    case Stage = 'stage';
    case Note = 'note';
    case Notice = 'notice';

    /**
     * The values it needs, by name.
     *
     * @return list<string>
     */
    public function needs(): array
    {
        return match ($this) {
            self::Lead => ['staff'],
            self::Checklist => ['checklist'],
            self::Task => ['name', 'doer', 'days'],
            self::Tag => ['record', 'tag'],
            self::Stage => ['stage'],
            self::Note => ['text'],
            self::Notice => ['staff'],
        };
    }
}
