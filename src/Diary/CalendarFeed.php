<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** The secret address under which a calendar is read. */
#[ORM\Entity]
class CalendarFeed
{
    /**
     * @param string $id the secret part of its address
     * @param Staff|null $staff whose; null for the whole business
     */
    public function __construct(
        #[ORM\Id, ORM\Column(name: 'token', length: 64)]
        public readonly string $id,
        #[ORM\ManyToOne]
        public readonly ?Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $madeAt,
        #[ORM\ManyToOne]
        public readonly ?Staff $madeBy = null,
    ) {
    }

    /** Whether whoever made it may still see what it shows: an address lives no longer than their rights. */
    public function isAlive(): bool
    {
        if (null !== $this->staff) {
            return $this->staff->active && (null === $this->madeBy || $this->madeBy === $this->staff || $this->madeBy->may(Permission::KeepDiary));
        }

        return null !== $this->madeBy && $this->madeBy->may(Permission::KeepDiary);
    }
}
