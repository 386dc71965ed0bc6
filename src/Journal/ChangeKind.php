<?php

declare(strict_types=1);

namespace Telamon\Journal;

enum ChangeKind: string
{
    case Receive = 'receive';
    case Accept = 'accept';
    case SetAside = 'set-aside';
    case FinishTask = 'finish-task';
    case Send = 'send';
    case Undo = 'undo';
    case Setup = 'setup';
    case Publish = 'publish';
    case MoveStage = 'move-stage';
    case Rule = 'rule';
    case Import = 'import';
    case Merge = 'merge';
    case TellApart = 'tell-apart';
    case Handle = 'handle';
    /** Something on file, by hand. */
    case Edit = 'edit';
    /** An inquiry that came by phone, at the desk or by mail, by hand. */
    case WriteDown = 'write-down';
    /** An appointment, by the client: booked, moved or cancelled. */
    case Book = 'book';
    /** How the business is set up. */
    case Settings = 'settings';

    /** Whether a person can take such a change back. */
    public function canBeUndone(): bool
    {
        return match ($this) {
            self::Accept, self::SetAside, self::FinishTask, self::MoveStage, self::Publish, self::Rule, self::Import, self::Merge, self::TellApart,
            self::Handle, self::Edit, self::Settings, self::WriteDown => true,
            default => false,
        };
    }
}
