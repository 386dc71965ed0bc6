<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Form\CustomField;
use Telamon\Core\Form\CustomKind;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;

/** A custom field that the business added to its clients, assets or projects. Its key and kind never change. */
#[ORM\Entity]
#[ORM\Table(name: 'custom_field')]
#[ORM\UniqueConstraint(columns: ['record', 'key'])]
class OwnField implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * No longer offered; what it holds stays.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $retired = false;

    /**
     * @param 'client'|'asset'|'project' $record
     * @param list<string> $choices what a choice offers
     */
    public function __construct(
        #[ORM\Column(length: 10)]
        public readonly string $record,
        #[ORM\Column(length: 40)]
        public readonly string $key,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $label,
        #[ORM\Column(length: 10, enumType: CustomKind::class)]
        public readonly CustomKind $kind,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $choices,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $position,
    ) {
        $this->id = Ids::next();
    }

    public function facts(): CustomField
    {
        return new CustomField($this->record, $this->key, $this->label, $this->kind, $this->choices);
    }

    /** @return array{id: string, record: string, key: string, label: string, kind: string, choices: list<string>, retired: bool} as CustomField in the contract */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'record' => $this->record,
            'key' => $this->key,
            'label' => $this->label,
            'kind' => $this->kind->value,
            'choices' => $this->choices,
            'retired' => $this->retired,
        ];
    }

    /** @param list<string> $choices */
    public function become(string $label, array $choices, bool $retired): void
    {
        $this->label = $label;
        $this->choices = $choices;
        $this->retired = $retired;
    }

    public function recordKind(): string
    {
        return 'custom-field';
    }

    public function recordLabel(): string
    {
        return $this->label;
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return '/setup';
    }

    public function recordContext(): array
    {
        return ['client' => null, 'project' => null];
    }
}
