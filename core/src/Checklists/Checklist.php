<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A reusable list of task items. */
final readonly class Checklist
{
    /** @param list<ChecklistItem> $items */
    public function __construct(public string $name, public array $items)
    {
    }
}
