<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\PartOf;

/** That somebody removed what a checklist asked for: no later version brings it back to this project. */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'removed_item_once', columns: ['project_id', 'item'])]
class RemovedItem implements PartOf
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string $item full key
     * @param list<string> $waitsFor full keys of what it waited for: what waited for it waits for these
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Project $project,
        #[ORM\Column(length: 121)]
        public readonly string $item,
        #[ORM\Column(length: 200)]
        public readonly string $name,
        #[ORM\Column(type: 'json')]
        public readonly array $waitsFor,
    ) {
        $this->id = Ids::next();
    }

    public static function partKind(): string
    {
        return 'item that was removed';
    }

    public function recordKind(): string
    {
        return 'project';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $project ? null : "/projects/$project";
    }

    public function recordContext(): array
    {
        return ['client' => $this->project->client->id, 'project' => $this->project->id];
    }
}
