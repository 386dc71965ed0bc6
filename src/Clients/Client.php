<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Staff\Staff;

/** A person or an organisation that the business serves. */
#[ORM\Entity]
#[ORM\Index(columns: ['sort_name', 'id'])]
#[ORM\Index(columns: ['external_id'])]
class Client implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** The name in small letters, family name first: what lists are sorted by. */
    #[ORM\Column(length: 400)]
    public string $sortName;

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $organisation = '';

    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $notes = '';

    /** @var list<string> */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $tags = [];

    /** @var array<string, string> values of custom fields by their keys */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $custom = [];

    /** @var list<string> addresses beside the first */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $otherAddresses = [];

    /** Who looks after them, beyond any one project. */
    #[ORM\ManyToOne]
    public ?Staff $owner = null;

    /** What another system calls it; empty where there is none. */
    #[ORM\Column(length: 100, options: ['default' => ''])]
    public string $externalId = '';

    /** The client that took over all that hung on this one. */
    #[ORM\ManyToOne(targetEntity: self::class)]
    public ?self $mergedInto = null;

    /** @var Collection<int, ContactPoint> */
    #[ORM\OneToMany(targetEntity: ContactPoint::class, mappedBy: 'client')]
    #[ORM\OrderBy(['kind' => 'ASC', 'id' => 'ASC'])]
    public Collection $contactPoints;

    /** @param \DateTimeImmutable $since the day it came on file */
    public function __construct(
        #[ORM\Column(length: 200)]
        public string $givenName,
        #[ORM\Column(length: 200)]
        public string $familyName,
        #[ORM\Column(length: 300)]
        public string $address,
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $since,
    ) {
        $this->id = Ids::next();
        $this->contactPoints = new ArrayCollection();
        $this->sortName = mb_strtolower(trim("$familyName $givenName"));
    }

    public function name(): string
    {
        $name = trim("{$this->givenName} {$this->familyName}");

        return '' === $name ? 'No name given' : $name;
    }

    /** The last part of the address before any remark, usually the town. */
    public function locality(): string
    {
        $parts = explode(',', (preg_split('/\.(\s|$)/', $this->address) ?: [''])[0]);

        return trim(end($parts));
    }

    public function first(ContactKind $kind): ?string
    {
        foreach ($this->contactPoints as $point) {
            if ($point->kind === $kind) {
                return $point->value;
            }
        }

        return null;
    }

    public function recordKind(): string
    {
        return 'client';
    }

    public function recordLabel(): string
    {
        return $this->name();
    }

    public static function isReadWithClient(): bool
    {
        return true;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/clients/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->id, 'project' => null];
    }
}
