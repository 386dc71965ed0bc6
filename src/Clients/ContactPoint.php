<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A way to reach a client: a mail address or a phone number. */
#[ORM\Entity]
#[WrittenWith(Permission::EditClients)]
#[ORM\Index(columns: ['kind', 'match_key'])]
class ContactPoint implements PartOf
{
    use PartOfAClient;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * What it is for, in words: “texts are fine”.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 100, options: ['default' => ''])]
    public string $purpose = '';

    /**
     * Whether a person put it there or has confirmed it; what strangers bring to a record on file is not, and is believed for nothing.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => true])]
    public bool $confirmed = true;

    /**
     * @param string $value a mail address as written, or E.164
     * @param string $matchKey what equal points share
     */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne(inversedBy: 'contactPoints')]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        #[ORM\Column(length: 10, enumType: ContactKind::class)]
        public readonly ContactKind $kind,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 254)]
        public string $value,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 254)]
        public string $matchKey,
    ) {
        $this->id = Ids::next();
        $client->contactPoints->add($this);
    }

    /** @param string $matchKey what equal points share */
    public function become(string $value, string $matchKey): void
    {
        $this->value = $value;
        $this->matchKey = $matchKey;
    }

    public function comesFromOutside(): void
    {
        $this->confirmed = false;
    }

    public function confirm(): void
    {
        $this->confirmed = true;
    }

    public function isFor(string $purpose): void
    {
        $this->purpose = $purpose;
    }

    public function recordKind(): string
    {
        return 'client';
    }

    public function recordLabel(): string
    {
        return $this->value;
    }

    public static function partKind(): string
    {
        return 'contact point';
    }
}
