<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Form\FormDefinition;
use Telamon\Database\Ids;
use Telamon\Record\Names;
use Telamon\Record\NamesOthers;

/** A version of a form. Never changes once published. */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['form_id', 'number'])]
class FormVersion implements NamesOthers
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    private ?FormDefinition $read = null;

    /** @param array<mixed> $definition as FormDefinition::fromArray() reads it */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Form $form,
        #[ORM\Column]
        public readonly int $number,
        #[Names('service', 'form', 'booking-page', 'visit-type', 'staff')]
        #[ORM\Column(type: 'json')]
        public readonly array $definition,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $publishedAt,
    ) {
        $this->id = Ids::next();
    }

    /** Working minutes until a person answers; told without reading the rest of the definition. */
    public function promiseMinutes(): int
    {
        $minutes = $this->definition['promiseMinutes'] ?? null;

        return \is_int($minutes) ? $minutes : $this->definition()->promiseMinutes;
    }

    public function definition(): FormDefinition
    {
        return $this->read ??= FormDefinition::fromArray($this->definition);
    }

    public function isInUse(): bool
    {
        return $this->form->published === $this;
    }

    public function called(): string
    {
        return "the form “{$this->form->title}”";
    }
}
