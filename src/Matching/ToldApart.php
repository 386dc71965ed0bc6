<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** Two clients of whom somebody has said that they are not the same. */
#[ORM\Entity]
#[WrittenWith(Permission::Merge)]
class ToldApart implements PartOf
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Client $one,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Client $other,
    ) {
        $this->id = Ids::next();
    }

    public function recordKind(): string
    {
        return 'client';
    }

    public function recordLabel(): string
    {
        return "{$this->one->name()}, not {$this->other->name()}";
    }

    public static function partKind(): string
    {
        return 'pair';
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $client ? null : "/clients/$client";
    }

    public function recordContext(): array
    {
        return ['client' => $this->one->id, 'project' => null];
    }
}
