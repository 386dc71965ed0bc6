<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A person at an organisation, or whoever else is to be reached about a client's work. */
#[ORM\Entity]
#[WrittenWith(Permission::EditClients)]
class Contact implements Journaled
{
    use PartOfAClient;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @param string $phone E.164 */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $role,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 254)]
        public string $email,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 40)]
        public string $phone,
    ) {
        $this->id = Ids::next();
    }

    public function become(string $name, string $role, string $email, string $phone): void
    {
        $this->name = $name;
        $this->role = $role;
        $this->email = $email;
        $this->phone = $phone;
    }

    public function recordKind(): string
    {
        return 'contact';
    }

    public function recordLabel(): string
    {
        return '' === $this->name ? 'Contact' : $this->name;
    }
}
