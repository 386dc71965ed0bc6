<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;

/** A handling rule as kept. Its versions are in the journal. */
#[ORM\Entity]
#[ORM\Index(columns: ['position'])]
class HandlingRule implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    #[ORM\Column]
    public bool $retired = false;

    /** @param array<string, mixed> $definition forms, if, then, from, until, acceptsByItself */
    public function __construct(
        #[ORM\Column]
        public int $position,
        #[ORM\Column(length: 100)]
        public string $name,
        #[ORM\Column(length: 500)]
        public string $why,
        #[ORM\Column]
        public bool $enabled,
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
            'forms' => $d['forms'] ?? [], 'if' => $d['if'] ?? null, 'then' => $d['then'] ?? [], 'from' => $d['from'] ?? '', 'until' => $d['until'] ?? '', 'acceptsByItself' => $d['acceptsByItself'] ?? false,
            'when' => $d['when'] ?? 'received', 'what' => $d['what'] ?? '', 'alsoByHand' => $d['alsoByHand'] ?? false,
        ];
    }

    public function recordKind(): string
    {
        return 'rule';
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
