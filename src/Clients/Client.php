<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Record\Tagged;
use Telamon\Record\Tags;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** A person or an organisation that the business serves. */
#[ORM\Entity]
#[WrittenWith(Permission::EditClients)]
#[ORM\Index(columns: ['sort_name', 'id'])]
#[ORM\Index(columns: ['external_id'])]
#[ORM\Index(columns: ['merged_into_id', 'archived_at', 'sort_name', 'id'], name: 'client_by_name')]
#[ORM\Index(columns: ['merged_into_id', 'archived_at', 'since', 'id'], name: 'client_by_day')]
#[ORM\Index(columns: ['merged_into_id', 'archived_at', 'last_contact', 'id'], name: 'client_by_contact')]
#[ORM\Index(columns: ['owner_id', 'merged_into_id', 'archived_at', 'sort_name', 'id'], name: 'client_of_owner_by_name')]
#[ORM\Index(columns: ['owner_id', 'merged_into_id', 'archived_at', 'since', 'id'], name: 'client_of_owner_by_day')]
class Client implements Journaled, Tagged
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /**
     * The name in small letters, family name first: what lists are sorted by.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 400)]
    public string $sortName;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $organisation = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $notes = '';

    /**
     * @var list<string>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $tags = [];

    /**
     * @var array<string, string> values of custom fields by their keys
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $custom = [];

    /**
     * @var list<string> addresses beside the first
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $otherAddresses = [];

    /**
     * Who looks after them, beyond any one project.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\ManyToOne]
    public ?Staff $owner = null;

    /**
     * What another system calls it; empty where there is none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 100, options: ['default' => ''])]
    public string $externalId = '';

    /**
     * What they read: a language tag (BCP 47); empty where nobody asked.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 12, options: ['default' => ''])]
    public string $language = '';

    /**
     * Since when they are out of the way; found and matched all the same.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $archivedAt = null;

    /**
     * When they last wrote to the business or were written to. The database keeps it; nothing else writes it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true, insertable: false, updatable: false)]
    public ?\DateTimeImmutable $lastContact = null;

    /**
     * The client that took over all that hung on this one.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\ManyToOne(targetEntity: self::class)]
    public ?self $mergedInto = null;

    /**
     * @var Collection<int, ContactPoint>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\OneToMany(targetEntity: ContactPoint::class, mappedBy: 'client')]
    #[ORM\OrderBy(['kind' => 'ASC', 'id' => 'ASC'])]
    public Collection $contactPoints;

    /** @param \DateTimeImmutable $since the day it came on file */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $givenName,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $familyName,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 300)]
        public string $address,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $since,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
        $this->contactPoints = new ArrayCollection();
        $this->sortName = self::sorted($givenName, $familyName);
    }

    public function rename(string $given, string $family): void
    {
        $this->givenName = $given;
        $this->familyName = $family;
        $this->sortName = self::sorted($given, $family);
    }

    /**
     * As somebody writes it by hand.
     *
     * @param list<string> $otherAddresses
     * @param list<string> $tags
     */
    public function become(string $organisation, string $address, array $otherAddresses, string $notes, array $tags): void
    {
        $this->organisation = $organisation;
        $this->address = $address;
        $this->otherAddresses = $otherAddresses;
        $this->notes = $notes;
        $this->tags = $tags;
    }

    public function archive(?\DateTimeImmutable $at): void
    {
        $this->archivedAt = $at;
    }

    /** @param string $language tag, or empty */
    public function reads(string $language): void
    {
        $this->language = $language;
    }

    /** @param array<string, string> $custom by key */
    public function keepCustom(array $custom): void
    {
        $this->custom = $custom;
    }

    public function giveTo(?Staff $owner): void
    {
        $this->owner = $owner;
    }

    /** @param string $field organisation, notes (which grow), or custom.… for an own one */
    public function write(string $field, string $value): void
    {
        match (true) {
            'organisation' === $field => $this->organisation = mb_substr($value, 0, 200),
            'notes' === $field => $this->notes = trim("{$this->notes}\n\n$value"),
            str_starts_with($field, 'custom.') => $this->custom = [substr($field, 7) => $value] + $this->custom,
            default => throw new \LogicException("a client has no field $field"),
        };
    }

    public function tags(): array
    {
        return $this->tags;
    }

    public function retag(array $tags): void
    {
        $this->tags = $tags;
    }

    /** @param list<string> $tags those that are there stay */
    public function tag(array $tags): void
    {
        $this->tags = Tags::with($this->tags, $tags);
    }

    /**
     * Another address beside those on file, or one in the place of another.
     *
     * @param string|null $instead of which; null for none
     */
    public function liveAt(string $address, ?string $instead = null): void
    {
        $address = mb_substr($address, 0, 300);
        if ('' === $this->address || $instead === $this->address) {
            $this->address = $address;
        } elseif (null !== $instead) {
            $this->otherAddresses = array_map(static fn (string $one): string => $one === $instead ? $address : $one, $this->otherAddresses);
        } else {
            $this->otherAddresses = [...$this->otherAddresses, $address];
        }
    }

    /** What another system knows of them: what is on file stays, what is missing is added. */
    public function complete(string $externalId, string $address, string $organisation, string $notes): void
    {
        $this->externalId = '' === $this->externalId ? $externalId : $this->externalId;
        $this->address = '' === $this->address ? $address : $this->address;
        $this->organisation = '' === $this->organisation ? $organisation : $this->organisation;
        $this->notes = implode("\n", array_unique(array_filter([$this->notes, $notes], static fn (string $note): bool => '' !== $note)));
    }

    /**
     * One with another who turned out to be the same. What is here stays, save for what is taken from the other; an
     * address that gives way stays beside the one that was taken.
     *
     * @param list<string> $take names of fields
     */
    public function takeOver(self $other, array $take): void
    {
        if (\in_array('name', $take, true)) {
            $this->rename($other->givenName, $other->familyName);
        }
        $addresses = [$this->address, ...$this->otherAddresses, $other->address, ...$other->otherAddresses];
        foreach (['organisation', 'address', 'externalId', 'language'] as $field) {
            if ('' !== $other->$field && ('' === $this->$field || \in_array($field, $take, true))) {
                $this->$field = $other->$field;
            }
        }
        $this->notes = implode("\n\n", array_unique(array_filter([$this->notes, $other->notes], static fn (string $note): bool => '' !== $note)));
        $this->otherAddresses = array_values(array_unique(array_filter($addresses, fn (string $address): bool => '' !== $address && $address !== $this->address)));
        $this->owner ??= $other->owner;
        $this->tags = array_values(array_unique([...$this->tags, ...$other->tags]));
        foreach ($other->custom as $key => $value) {
            if (!isset($this->custom[$key]) || \in_array("custom.$key", $take, true)) {
                $this->custom = [$key => $value] + $this->custom;
            }
        }
        $this->since = min($this->since, $other->since);
    }

    /** Kept with another one from now on. */
    public function mergeInto(self $one): void
    {
        $this->mergedInto = $one;
    }

    public function name(): string
    {
        $name = trim("{$this->givenName} {$this->familyName}");

        return '' === $name ? 'No name given' : $name;
    }

    public function locality(): string
    {
        return self::localityOf($this->address);
    }

    /** The last part of an address before any remark, usually the town. */
    public static function localityOf(string $address): string
    {
        $parts = explode(',', (preg_split('/\.(\s|$)/', $address) ?: [''])[0]);

        return trim(end($parts));
    }

    /** How they are reached: what is confirmed; what is not only where nothing of theirs is, as it is all that is known of them. */
    public function first(ContactKind $kind): ?string
    {
        $points = $this->contactPoints->toArray();
        $confirmed = array_filter($points, static fn (ContactPoint $point): bool => $point->confirmed);
        foreach ([] === $confirmed ? $points : $confirmed as $point) {
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

    private static function sorted(string $given, string $family): string
    {
        return mb_strtolower(trim("$family $given"));
    }
}
