<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\CustomField;
use Telamon\Core\Form\CustomKind;
use Telamon\Refusal\InvalidInput;

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
     * Values as somebody writes them by hand, checked; those that are not written stay.
     *
     * @param 'client'|'asset'|'project' $record
     * @param mixed $given values by key, as sent; null for none
     * @param array<string, string> $now by key
     *
     * @return array<string, string> all of them
     *
     * @throws InvalidInput
     */
    public function written(string $record, mixed $given, array $now): array
    {
        if (null === $given) {
            return $now;
        }
        $fields = [];
        foreach ($this->all() as $field) {
            if ($field->record === $record) {
                $fields[$field->key] = $field;
            }
        }
        foreach (\is_array($given) ? $given : throw new InvalidInput('custom', 'Send the values by key.') as $key => $value) {
            $field = $fields[$key] ?? throw new InvalidInput("custom.$key", 'There is no such field.');
            $now[$field->key] = self::value($field, \is_string($value) ? trim($value) : throw new InvalidInput("custom.$key", 'Write this as text.'));
        }

        return $now;
    }

    private static function value(OwnField $field, string $value): string
    {
        if ('' === $value) {
            return '';
        }
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $value);
        $fault = match ($field->kind) {
            CustomKind::Text => mb_strlen($value) > 1000 ? 'Shorten this to 1,000 characters.' : null,
            CustomKind::Number => 1 === preg_match('/^-?\d{1,15}([.,]\d{1,6})?$/', $value) ? null : 'Write a number, in figures.',
            CustomKind::Day => false !== $day && $day->format('Y-m-d') === $value ? null : 'There is no such day.',
            CustomKind::Choice => \in_array($value, $field->choices, true) ? null : 'Choose one of those offered.',
            CustomKind::YesNo => \in_array($value, ['yes', 'no'], true) ? null : 'Say yes or no.',
        };

        return null === $fault ? (CustomKind::Number === $field->kind ? strtr($value, ',', '.') : $value) : throw new InvalidInput("custom.{$field->key}", $fault);
    }

    /**
     * @param 'client'|'asset'|'project' $record
     * @param array<string, string> $values by key
     *
     * @return list<array{key: string, label: string, kind: string, value: string, choices: list<string>}> those on offer, and those retired that hold something, as OwnValue in the contract
     */
    public function shown(string $record, array $values): array
    {
        $shown = [];
        foreach ($this->all() as $field) {
            $value = $values[$field->key] ?? '';
            if ($field->record === $record && ('' !== $value || !$field->retired)) {
                $shown[] = ['key' => $field->key, 'label' => $field->label, 'kind' => $field->kind->value, 'value' => $value, 'choices' => $field->choices];
            }
        }

        return $shown;
    }
}
