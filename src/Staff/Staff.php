<?php

declare(strict_types=1);

namespace Telamon\Staff;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Telamon\Database\Ids;
use Telamon\Record\KnownAs;
use Telamon\Record\Lasting;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Record\Untold;

/** A member of staff who can sign in. */
#[ORM\Entity]
#[KnownAs('staff', 'id')]
class Staff implements UserInterface, PasswordAuthenticatedUserInterface, PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column, Untold]
    public string $passwordHash = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[Lasting]
    #[ORM\Column]
    public bool $active = true;

    /** @phpstan-readonly-allow-private-mutation how many links to choose a password were sent */
    #[ORM\Column(options: ['default' => 0]), Untold]
    public int $linksSent = 0;

    /**
     * When they work: local spans by ISO 8601 day of the week; empty for the hours of the business.
     *
     * @var array<int, list<array{string, string}>>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $hours = [];

    /** @phpstan-readonly-allow-private-mutation IANA zone by whose clock their hours are; empty for the business's */
    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $zone = '';

    /**
     * How their letters end; empty for the business's signature.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[WrittenWith(Permission::Work)]
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $signature = '';

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[Lasting]
        #[ORM\Column(length: 254, unique: true)]
        public string $email,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 3)]
        public string $initials,
        /** @phpstan-readonly-allow-private-mutation */
        #[Lasting]
        #[ORM\Column(enumType: Role::class)]
        public Role $role,
    ) {
        $this->id = Ids::next();
    }

    /** @param string $hash of the password hasher */
    public function keepPassword(string $hash): void
    {
        $this->passwordHash = $hash;
    }

    public function sendsLink(): void
    {
        ++$this->linksSent;
    }

    /** @param string $signature how their letters end; empty for the business's */
    public function sign(string $signature): void
    {
        $this->signature = $signature;
    }

    public function become(string $name, string $email, string $initials, Role $role): void
    {
        $this->name = $name;
        $this->email = $email;
        $this->initials = $initials;
        $this->role = $role;
    }

    /** @param array<int, list<array{string, string}>> $hours as above */
    public function work(array $hours, string $zone): void
    {
        $this->hours = $hours;
        $this->zone = $zone;
    }

    /** Whether they can sign in; whoever is signed in when it ends no longer is. */
    public function beHere(bool $active): void
    {
        $this->active = $active;
    }

    public function getRoles(): array
    {
        return $this->active ? ['ROLE_STAFF'] : [];
    }

    public function may(Permission $permission): bool
    {
        return $this->active && \in_array($permission, $this->role->may(), true);
    }

    public function getPassword(): string
    {
        return $this->passwordHash;
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->email ? throw new \LogicException('staff sign in by email') : $this->email;
    }

    /** @return array<string, mixed> for the session: it holds a short sum of the password's hash, to end when that changes */
    public function __serialize(): array
    {
        return ['passwordHash' => hash('crc32c', $this->passwordHash)] + get_object_vars($this);
    }

    #[\Deprecated]
    public function eraseCredentials(): void
    {
    }

    public static function partKind(): string
    {
        return 'member of staff';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
