<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** The permission that writing such a record, or this column of it, takes: undo and redo ask for it as the screens do. */
#[\Attribute(\Attribute::TARGET_CLASS | \Attribute::TARGET_PROPERTY)]
final readonly class WrittenWith
{
    public function __construct(public Permission $permission)
    {
    }
}
