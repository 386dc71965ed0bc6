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
    case Owner = 'owner';
    case Field = 'field';
    case Wish = 'wish';
    case Message = 'message';

    /**
     * The values it needs, by name.
     *
     * @return list<string>
     */
    public function needs(): array
    {
        return match ($this) {
            self::Lead, self::Owner => ['staff'],
            self::Checklist => ['checklist'],
            self::Task => ['name', 'doer', 'days'],
            self::Tag => ['record', 'tag'],
            self::Stage => ['stage'],
            self::Note => ['text'],
            self::Notice => ['staff'],
            self::Field => ['record', 'field', 'value'],
            self::Wish => ['about', 'text'],
            self::Message => ['template'],
        };
    }

    /** The value that names somebody; empty where it names nobody. */
    public function names(): string
    {
        return match ($this) {
            self::Lead, self::Owner, self::Notice => 'staff',
            self::Task => 'doer',
            default => '',
        };
    }
}
