<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A thing that the service is done on. */
#[ORM\Entity]
#[WrittenWith(Permission::EditClients)]
class Asset implements Journaled
{
    use PartOfAClient;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $make = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $model = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $serialNumber = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $notes = '';

    /**
     * @var array<string, string> values of custom fields by their keys
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $custom = [];

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 300)]
        public string $description,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 300)]
        public string $place,
    ) {
        $this->id = Ids::next();
    }

    /** @return array{id: string, description: string, place: string, make: string, model: string, serialNumber: string, notes: string} */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'description' => $this->description,
            'place' => $this->place,
            'make' => $this->make,
            'model' => $this->model,
            'serialNumber' => $this->serialNumber,
            'notes' => $this->notes,
        ];
    }

    public function isCalled(string $description, string $place): void
    {
        $this->description = $description;
        $this->place = $place;
    }

    /** @param array<string, string> $custom own fields by key */
    public function describe(string $make, string $model, string $serialNumber, string $notes, array $custom): void
    {
        $this->make = mb_substr($make, 0, 200);
        $this->model = mb_substr($model, 0, 200);
        $this->serialNumber = mb_substr($serialNumber, 0, 200);
        $this->notes = $notes;
        $this->custom = $custom;
    }

    /** @param string $field make, model, serial, place, or custom.… for an own one */
    public function write(string $field, string $value): void
    {
        match (true) {
            'make' === $field => $this->make = mb_substr($value, 0, 200),
            'model' === $field => $this->model = mb_substr($value, 0, 200),
            'serial' === $field => $this->serialNumber = mb_substr($value, 0, 200),
            'place' === $field => $this->place = mb_substr($value, 0, 300),
            str_starts_with($field, 'custom.') => $this->custom = [substr($field, 7) => $value] + $this->custom,
            default => throw new \LogicException("an asset has no field $field"),
        };
    }

    public function recordKind(): string
    {
        return 'asset';
    }

    public function recordLabel(): string
    {
        return $this->description;
    }
}
