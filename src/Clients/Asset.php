<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;

/** A thing that the service is done on. */
#[ORM\Entity]
class Asset implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $make = '';

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $model = '';

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $serialNumber = '';

    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $notes = '';

    /** @var array<string, string> values of custom fields by their keys */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $custom = [];

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        #[ORM\Column(length: 300)]
        public string $description,
        #[ORM\Column(length: 300)]
        public string $place,
    ) {
        $this->id = Ids::next();
    }

    /** @return array{id: string, description: string, place: string, make: string, model: string, serialNumber: string, notes: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'description' => $this->description, 'place' => $this->place, 'make' => $this->make, 'model' => $this->model, 'serialNumber' => $this->serialNumber, 'notes' => $this->notes];
    }

    public function recordKind(): string
    {
        return 'asset';
    }

    public function recordLabel(): string
    {
        return $this->description;
    }

    public static function isReadWithClient(): bool
    {
        return true;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $client ? null : "/clients/$client";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => null];
    }
}
