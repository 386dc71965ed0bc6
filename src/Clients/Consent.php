<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** What a client allowed, or did not: the exact words that they were asked in, the day, the way, and who wrote it down. */
#[ORM\Entity]
#[WrittenWith(Permission::EditClients)]
#[ORM\Table(name: 'client_consent')]
class Consent implements PartOf
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
        public Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $what,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'text')]
        public string $wording,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public bool $given,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $day,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 40)]
        public string $way,
    ) {
        $this->id = Ids::next();
    }

    public function recordKind(): string
    {
        return 'client';
    }

    public static function partKind(): string
    {
        return 'consent';
    }

    public function recordLabel(): string
    {
        return "{$this->what}, ".($this->given ? 'yes' : 'no');
    }
}
