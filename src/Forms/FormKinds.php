<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionKind;
use Telamon\Core\Planning\AskedService;
use Telamon\Staff\Staff;

/** The kinds of questions, and where answers of each may go; custom fields included. */
final readonly class FormKinds
{
    public function __construct(private EntityManagerInterface $em, private OwnFields $fields, private Profile $business)
    {
    }

    /** @return array<string, mixed> as FormKinds in the contract */
    public function toArray(): array
    {
        $custom = $this->fields->byName();
        $destinations = [];
        foreach (Destination::cases() as $one) {
            if (null === $one->customOf()) {
                $destinations[] = ['name' => $one->value, 'label' => $one->label(), 'words' => $one->words()];
            }
        }
        foreach ($custom as $name => $field) {
            $destinations[] = ['name' => $name, 'label' => "{$field->record}, {$field->label}", 'words' => [mb_strtolower($field->label)]];
        }

        return [
            'kinds' => array_map(static fn (QuestionKind $kind): array => [
                'kind' => $kind::name(),
                'destinations' => [
                    ...array_map(static fn (Destination $one): string => $one->value, $kind->destinations()),
                    ...array_keys(array_filter($custom, static fn ($field): bool => \in_array($field->kind, $kind->customKinds(), true))),
                ],
                'inLines' => $kind->fitsInLines(),
            ], array_values(Kinds::all())),
            'destinations' => $destinations,
            'staff' => array_map(
                static fn (Staff $one): array => ['value' => $one->id, 'label' => $one->name],
                $this->em->getRepository(Staff::class)->findBy(['active' => true], ['name' => 'ASC']),
            ),
            'services' => array_map(
                static fn (string $key, string $name): array => ['value' => $key, 'label' => $name],
                array_keys($names = $this->business->serviceNames()),
                $names,
            ),
        ];
    }

    /** @return list<string> which of its choices are called like no service, where one is asked for */
    private function noServices(Question $question): array
    {
        $names = $this->business->serviceNames();
        $amiss = [];
        foreach (Destination::ProjectService === $question->destination && [] !== $names ? $question->options : [] as $option) {
            if (!AskedService::fits($option->value, $option->label, $names)) {
                $amiss[] = "“{$option->label}”";
            }
        }

        return [] === $amiss
            ? []
            : [
                implode(', ', $amiss).(1 === \count($amiss) ? ' is' : ' are')." no service: who sends it gets no lead, checklist or prices before somebody says what is meant. Offer the services themselves in “{$question->wording}”.",
            ];
    }

    /** @return list<string> what is said of answers that go to fields that are not there, or cannot hold them */
    public function advice(FormDefinition $form): array
    {
        $custom = $this->fields->byName();
        $advice = '' === $form->tell || true === $this->em->find(Staff::class, $form->tell)?->active
            ? []
            : ['Whoever is to be told at once is not here any more: the coordinator is told. Choose somebody else.'];
        foreach ($form->questions() as $question) {
            foreach ([$question, ...$question->lines] as $one) {
                $advice = [...$advice, ...self::homeless($one, $custom), ...$this->noServices($one)];
            }
        }

        return $advice;
    }

    /**
     * @param array<string, \Telamon\Core\Form\CustomField> $custom
     *
     * @return list<string>
     */
    private static function homeless(Question $question, array $custom): array
    {
        $record = $question->destination?->customOf();
        if (null === $record) {
            return [];
        }
        $field = $custom["custom.$record.{$question->customField}"] ?? null;

        return match (true) {
            null === $field => ["“{$question->wording}” goes to a field that is not there any more. Its answers would stand in the project’s notes."],
            !\in_array($field->kind, $question->type->customKinds(), true) => [
                "“{$question->wording}” cannot go to the field “{$field->label}”. Its answers would stand in the project’s notes.",
            ],
            default => [],
        };
    }
}
