<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\CustomField;

/** The custom fields that are on offer, and their values as they are shown. */
final readonly class OwnFields
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<OwnField> in their order, those retired too */
    public function all(): array
    {
        return $this->em->getRepository(OwnField::class)->findBy([], ['record' => 'ASC', 'position' => 'ASC', 'id' => 'ASC']);
    }

    /** @return array<string, CustomField> those on offer, by name (“custom.client.size”) */
    public function byName(): array
    {
        $fields = [];
        foreach ($this->all() as $field) {
            if (!$field->retired) {
                $fields[$field->facts()->name()] = $field->facts();
            }
        }

        return $fields;
    }

    /**
     * @param 'client'|'asset'|'project' $record
     * @param array<string, string> $values by key
     *
     * @return list<array{key: string, label: string, kind: string, value: string}> those that hold something, as OwnValue in the contract
     */
    public function shown(string $record, array $values): array
    {
        $shown = [];
        foreach ([] === $values ? [] : $this->all() as $field) {
            $value = $values[$field->key] ?? '';
            if ($field->record === $record && '' !== $value) {
                $shown[] = ['key' => $field->key, 'label' => $field->label, 'kind' => $field->kind->value, 'value' => $value];
            }
        }

        return $shown;
    }
}
