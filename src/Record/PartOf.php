<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A part of another record, told under that one's kind. */
interface PartOf extends Journaled
{
    /** What it is called where it is told of: “contact point”. */
    public static function partKind(): string;
}
