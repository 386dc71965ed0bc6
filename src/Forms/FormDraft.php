<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Staff\Staff;

/** What is being designed. Saved as it is typed, right or wrong; publishing makes a version of it. */
#[ORM\Entity]
class FormDraft
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @param array<mixed> $definition */
    public function __construct(
        #[ORM\OneToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Form $form,
        #[ORM\Column(type: 'json')]
        public array $definition,
        #[ORM\Column]
        public \DateTimeImmutable $savedAt,
        #[ORM\ManyToOne]
        public ?Staff $savedBy,
    ) {
        $this->id = Ids::next();
    }
}
