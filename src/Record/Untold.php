<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A column that the journal never holds, such as the hash of a password; undo leaves it as it is. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class Untold
{
}
