<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Staff\Staff;

/** That somebody has seen a notice, or was sent a mail about it. No part of the journal: it says nothing of the business. */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['notice_id', 'staff_id'])]
class NoticeSeen
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $seenAt = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $mailedAt = null;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Notice $notice,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Staff $staff,
    ) {
        $this->id = Ids::next();
    }
}
