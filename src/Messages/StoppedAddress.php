<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** An address whose owner asked to be left alone: nothing that nobody asked for goes there. */
#[ORM\Entity]
#[WrittenWith(Permission::Write)]
#[ORM\Index(columns: ['client_id'])]
class StoppedAddress implements PartOf
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        /** In small letters. */
        #[ORM\Column(length: 254, unique: true)]
        public readonly string $address,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Client $client,
        /** How it was said: by a reply, by the link, by hand. */
        #[ORM\Column(length: 100)]
        public readonly string $way,
        #[ORM\Column(length: 500)]
        public readonly string $words,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
    ) {
        $this->id = Ids::next();
    }

    public function recordKind(): string
    {
        return null === $this->client ? 'business' : 'client';
    }

    public static function partKind(): string
    {
        return 'consent';
    }

    public function recordLabel(): string
    {
        return "nothing unasked to {$this->address}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $client ? '/messages' : "/clients/$client";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => null];
    }
}
