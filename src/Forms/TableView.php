<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A way of looking at what came through a form, kept under a name for everybody. */
#[ORM\Entity]
#[ORM\Table(name: 'form_table_view')]
class TableView
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @param array{q: string, state: string, sort: string, hidden: list<string>} $filter */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Form $form,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 80)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $filter,
    ) {
        $this->id = Ids::next();
    }

    /** @param array{q: string, state: string, sort: string, hidden: list<string>} $filter */
    public function look(array $filter): void
    {
        $this->filter = $filter;
    }

    /** @return array{id: string, name: string, filter: array{q: string, state: string, sort: string, hidden: list<string>}} as TableView in the contract */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'filter' => $this->filter];
    }
}
