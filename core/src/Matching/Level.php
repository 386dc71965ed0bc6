<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** How far two fields agree. Not every level fits every field. */
enum Level: string
{
    case Same = 'same';
    /** Equal, but already known to be shared by several clients. */
    case Shared = 'shared';
    /** One is a usual form of the other name. */
    case Form = 'form';
    /** As alike as typing errors leave it. */
    case Near = 'near';
    /** One has an initial only, and it fits. */
    case Initial = 'initial';
    /** One holds the other. */
    case Part = 'part';
    /** The same town, where no more is known. */
    case Town = 'town';
    /** The mail addresses differ behind the @ only. */
    case LocalPart = 'local-part';
    /** Alike, but both are names of their own. */
    case Other = 'other';
    case Different = 'different';
    /** One side or both say nothing. */
    case Missing = 'missing';

    public function agrees(): bool
    {
        return !\in_array($this, [self::Other, self::Different, self::Missing], true);
    }
}
