<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** Two clients who have to do with one another. */
#[ORM\Entity]
#[WrittenWith(Permission::EditClients)]
#[ORM\Index(columns: ['client_id'])]
#[ORM\Index(columns: ['other_id'])]
class ClientLink implements PartOf
{
    use PartOfAClient;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $other,
        #[ORM\Column(length: 20, enumType: LinkKind::class)]
        public readonly LinkKind $kind,
    ) {
        $this->id = Ids::next();
    }

    public function recordKind(): string
    {
        return 'client';
    }

    public static function partKind(): string
    {
        return 'link';
    }

    public function recordLabel(): string
    {
        return "{$this->client->name()}, {$this->kind->words(true)} {$this->other->name()}";
    }
}
