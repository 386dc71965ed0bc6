<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A column that is told in the journal and never set back by undo or redo: who may sign in and what they may do is changed by hand alone. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class Lasting
{
}
