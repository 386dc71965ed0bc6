<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\CustomField;
use Telamon\Core\Form\Reading;

/** What the business calls its things, and the fields that it keeps of its own. */
final readonly class Naming
{
    /**
     * @param string $asset what the work is done on: “piano”
     * @param array<string, CustomField> $customFields by name, “custom.client.size”
     * @param string $currency ISO 4217, in which it counts; empty where it is not known
     */
    public function __construct(public string $asset, public array $customFields = [], public string $currency = '')
    {
    }

    /** The custom field that an answer goes to; null where there is none (any more), or where it cannot hold the answer. */
    public function customField(Reading $reading): ?CustomField
    {
        $record = $reading->question->destination?->customOf();
        $field = null === $record ? null : $this->of($record, "custom.{$reading->question->customField}");

        return null !== $field && \in_array($field->kind, $reading->question->type->customKinds(), true) ? $field : null;
    }

    /** @param string $field “custom.size” */
    public function of(string $record, string $field): ?CustomField
    {
        return $this->customFields[str_replace('custom.', "custom.$record.", $field)] ?? null;
    }

    /** @return array<string, string> labels by “client.custom.size”, where they are not the field's own name */
    public function labels(): array
    {
        $labels = ['asset.serial' => 'Serial number', 'asset.place' => 'Where it stands'];
        foreach ($this->customFields as $name => $field) {
            $labels[(string) preg_replace('/^custom\.([a-z]+)\./', '$1.custom.', $name)] = $field->label;
        }

        return $labels;
    }
}
