<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Names;
use Telamon\Record\NamesOthers;
use Telamon\Staff\Staff;

/** What is being designed. Saved as it is typed, right or wrong; publishing makes a version of it. */
#[ORM\Entity]
class FormDraft implements NamesOthers
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
        /** @phpstan-readonly-allow-private-mutation */
        #[Names('service', 'form', 'booking-page', 'visit-type', 'staff')]
        #[ORM\Column(type: 'json')]
        public array $definition,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $savedAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Staff $savedBy,
    ) {
        $this->id = Ids::next();
    }

    /** @param array<mixed> $definition */
    public function save(array $definition, \DateTimeImmutable $at, Staff $by): void
    {
        $this->definition = $definition;
        $this->savedAt = $at;
        $this->savedBy = $by;
    }

    public function isInUse(): bool
    {
        return true;
    }

    public function called(): string
    {
        return "the form “{$this->form->title}”";
    }
}
