<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Journal\Journaled;

/** A thing that the service is done on. */
#[ORM\Entity]
class Asset implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Client $client,
        #[ORM\Column(length: 300)]
        public string $description,
        #[ORM\Column(length: 300)]
        public string $place,
    ) {
        $this->id = Ids::next();
    }

    /** @return array{id: string, description: string, place: string} as Asset in the contract */
    public function toArray(): array
    {
        return ['id' => $this->id, 'description' => $this->description, 'place' => $this->place];
    }

    public function recordKind(): string
    {
        return 'asset';
    }

    public function recordLabel(): string
    {
        return $this->description;
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => null];
    }
}
