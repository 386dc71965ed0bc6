<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Database\Ids;

/** A checklist as kept: the base one joins every project, an add-on only those of its service. */
#[ORM\Entity]
class ChecklistTemplate
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @param list<array{key: string, name: string, position: int, doer: string, days: int, from?: string, after?: list<string>}> $items */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public bool $isBase,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $items,
    ) {
        $this->id = Ids::next();
    }

    public function toChecklist(): Checklist
    {
        return new Checklist($this->name, array_map(static fn (array $item): ChecklistItem => new ChecklistItem(
            $item['key'],
            $item['name'],
            $item['position'],
            Doer::from($item['doer']),
            $item['days'],
            DueFrom::from($item['from'] ?? 'accepted'),
            $item['after'] ?? [],
        ), $this->items));
    }
}
