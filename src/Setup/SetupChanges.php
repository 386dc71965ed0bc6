<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\OwnField;
use Telamon\Business\Profile;
use Telamon\Core\Form\CustomKind;
use Telamon\Http\JsonBody;
use Telamon\Record\FreeKey;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Changes how the business is set up. */
final readonly class SetupChanges
{
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private SetupActs $acts, private Profile $business)
    {
    }

    public function intake(bool $shortensAddresses, int $unfinishedMinutes, Staff $staff): void
    {
        $this->acts->carryOut('changed how submissions are taken', $staff, function () use ($shortensAddresses, $unfinishedMinutes): void {
            $business = $this->business->business();
            $business->takeIn($shortensAddresses, $unfinishedMinutes);
        });
    }

    public function matching(int $sameFrom, int $perhapsFrom, int $againDays, Staff $staff): void
    {
        $this->acts->carryOut("matches as one person from $sameFrom %, asks from $perhapsFrom %", $staff, function () use ($sameFrom, $perhapsFrom, $againDays): void {
            $business = $this->business->business();
            $business->tellApart($sameFrom, $perhapsFrom, $againDays);
        });
    }

    /**
     * @param array<array-key, mixed> $body as the contract has it
     *
     * @throws Refusal
     */
    public function add(array $body, Staff $staff): void
    {
        $record = JsonBody::text($body, 'record', 10);
        if (!\in_array($record, ['client', 'asset', 'project'], true)) {
            throw new InvalidInput('record', 'Choose client, asset or project.');
        }
        $kind = CustomKind::tryFrom(JsonBody::text($body, 'kind', 10)) ?? throw new InvalidInput('kind', 'Choose text, number, day, choice or yes-no.');
        $label = self::label($body);
        $choices = self::choices($body, $kind);
        $this->acts->carryOut("added the field $label", $staff, function () use ($record, $kind, $label, $choices): void {
            $fields = $this->em->getRepository(OwnField::class)->findBy(['record' => $record]);
            if (\count($fields) >= self::MOST) {
                throw new InvalidInput('label', 'There are '.self::MOST.' fields already. Retire some first.');
            }
            $this->refuseTwice($label, $fields, null);
            $this->em->persist(new OwnField(
                $record,
                FreeKey::of($label, array_map(static fn (OwnField $one): string => $one->key, $fields)),
                $label,
                $kind,
                $choices,
                \count($fields) + 1,
            ));
        });
    }

    /**
     * @param array<array-key, mixed> $body as the contract has it
     *
     * @throws Refusal
     */
    public function change(OwnField $field, array $body, Staff $staff): void
    {
        $label = self::label($body);
        $choices = self::choices($body, $field->kind);
        $retired = $body['retired'] ?? null;
        if (!\is_bool($retired)) {
            throw new InvalidInput('retired', 'Say yes or no.');
        }
        $this->acts->carryOut("changed the field $label", $staff, function () use ($field, $label, $choices, $retired): void {
            $this->refuseTwice($label, $this->em->getRepository(OwnField::class)->findBy(['record' => $field->record]), $field);
            $field->become($label, $choices, $retired);
        });
    }

    /** @param array<array-key, mixed> $body */
    private static function label(array $body): string
    {
        $label = trim(JsonBody::text($body, 'label', 100));

        return '' === $label ? throw new InvalidInput('label', 'A field has a name.') : $label;
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return list<string>
     */
    private static function choices(array $body, CustomKind $kind): array
    {
        $given = $body['choices'] ?? [];
        $choices = \is_array($given)
            ? array_values(array_unique(array_filter(
                array_map(static fn (mixed $one): string => \is_string($one) ? mb_substr(trim($one), 0, 100) : '', $given),
                static fn (string $one): bool => '' !== $one,
            )))
            : [];
        if (CustomKind::Choice !== $kind) {
            return [];
        }

        return [] === $choices || \count($choices) > 100 ? throw new InvalidInput('choices', 'Write 1 to 100 choices, one a line.') : $choices;
    }

    /** @param list<OwnField> $fields */
    private function refuseTwice(string $label, array $fields, ?OwnField $self): void
    {
        foreach ($fields as $field) {
            if ($field !== $self && mb_strtolower($field->label) === mb_strtolower($label)) {
                throw new InvalidInput('label', "There is a field “{$field->label}” already".($field->retired ? ', retired. Bring it back instead.' : '.'));
            }
        }
    }
}
