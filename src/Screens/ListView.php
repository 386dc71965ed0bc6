<?php

declare(strict_types=1);

namespace Telamon\Screens;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A way of looking at a list, saved under a name for everybody. */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'list_view_name', columns: ['list', 'name'])]
class ListView
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string $search what stands in the address of the list, as a query string
     * @param list<string> $hidden names of columns left out
     */
    public function __construct(
        #[ORM\Column(length: 20)]
        public readonly string $list,
        #[ORM\Column(length: 80)]
        public readonly string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'text')]
        public string $search,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $hidden,
    ) {
        $this->id = Ids::next();
    }

    /** @param list<string> $hidden */
    public function look(string $search, array $hidden): void
    {
        $this->search = $search;
        $this->hidden = $hidden;
    }

    /** @return array{id: string, name: string, search: string, hidden: list<string>} as ListView in the contract */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'search' => $this->search, 'hidden' => $this->hidden];
    }
}
