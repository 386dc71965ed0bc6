<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Record\Names;
use Telamon\Record\NamesOthers;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A handling rule as kept. Its versions are in the journal. */
#[ORM\Entity]
#[WrittenWith(Permission::Rule)]
#[ORM\Index(columns: ['position'])]
class HandlingRule implements Journaled, NamesOthers
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public bool $retired = false;

    /** @param array<string, mixed> $definition forms, if, then, from, until, acceptsByItself */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $position,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 500)]
        public string $why,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public bool $enabled,
        /** @phpstan-readonly-allow-private-mutation */
        #[Names('template', 'service', 'staff', 'checklist', 'stage', 'visit-type', 'booking-page')]
        #[ORM\Column(type: 'json')]
        public array $definition,
    ) {
        $this->id = Ids::next();
    }

    /** @return array<string, mixed> as HandlingRule in the contract, without how often it was used */
    public function toArray(): array
    {
        $d = $this->definition;

        return [
            'id' => $this->id, 'version' => $this->version, 'position' => $this->position, 'name' => $this->name, 'why' => $this->why, 'enabled' => $this->enabled,
            'forms' => $d['forms'] ?? [], 'if' => $d['if'] ?? null, 'then' => $d['then'] ?? [], 'from' => $d['from'] ?? '',
            'until' => $d['until'] ?? '', 'acceptsByItself' => $d['acceptsByItself'] ?? false,
            'when' => $d['when'] ?? 'received', 'what' => $d['what'] ?? '', 'alsoByHand' => $d['alsoByHand'] ?? false,
        ];
    }

    /** @param array<string, mixed> $definition */
    public function become(string $name, string $why, bool $enabled, array $definition): void
    {
        $this->name = $name;
        $this->why = $why;
        $this->enabled = $enabled;
        $this->definition = $definition;
    }

    public function standAt(int $position): void
    {
        $this->position = $position;
    }

    public function retire(): void
    {
        $this->retired = true;
        $this->enabled = false;
    }

    public function recordKind(): string
    {
        return 'rule';
    }

    public function isInUse(): bool
    {
        return !$this->retired;
    }

    public function called(): string
    {
        return $this->name;
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
        return "/rules/$id";
    }

    public function recordContext(): array
    {
        return ['client' => null, 'project' => null];
    }
}
