<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A checklist as work; an add-on says after which item it joins. */
final readonly class WorkList
{
    /**
     * @param string|null $joins full key of the item that its own stand after
     * @param list<Work> $items
     */
    public function __construct(public string $key, public ?string $joins, public array $items)
    {
    }
}
