<?php

declare(strict_types=1);

namespace Telamon\Drafts;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** What somebody has typed and not saved yet, under the name of what they change. */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'draft_of_staff', columns: ['staff', 'name'])]
#[ORM\Index(name: 'draft_name', columns: ['name'])]
#[ORM\Index(name: 'draft_at', columns: ['at'])]
class Draft
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $revision = 1;

    /** @param string $value as JSON */
    public function __construct(
        #[ORM\Column(length: 36)]
        public readonly string $staff,
        #[ORM\Column(length: 200)]
        public readonly string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'text')]
        public string $value,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
    ) {
        $this->id = Ids::next();
    }

    /** @param string $value as JSON */
    public function goOn(string $value, \DateTimeImmutable $at): void
    {
        $this->value = $value;
        $this->at = $at;
        ++$this->revision;
    }

    /** @return array{revision: int, at: string, value: mixed} as KeptDraft in the contract */
    public function toArray(\DateTimeZone $zone): array
    {
        return ['revision' => $this->revision, 'at' => $this->at->setTimezone($zone)->format(\DATE_RFC3339), 'value' => json_decode($this->value, false, 64, \JSON_THROW_ON_ERROR)];
    }
}
