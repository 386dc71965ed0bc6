<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;

/** Writes one field of a record. */
final readonly class SetField implements Changeable
{
    /**
     * @param string $record client, project or asset
     * @param string $field its name; custom.… for an own field
     * @param string $value normalised, as it is kept
     * @param string $mode “replace” where it stands for another
     * @param string $old the value that it stands for
     */
    public function __construct(
        public string $record,
        public string $field,
        public string $value,
        public string $mode = 'add',
        public string $old = '',
    ) {
    }

    public static function name(): string
    {
        return 'field.set';
    }

    public function fields(): array
    {
        return [match (true) {
            \in_array($this->field, ['owner', 'lead'], true) => new LineField('value', 'Who', 'staff', $this->value, 'staff'),
            1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $this->value) => new LineField('value', 'Day', 'day', $this->value),
            \in_array($this->field, ['email', 'phone'], true) => new LineField('value', 'Value', 'text', $this->value, $this->field),
            default => new LineField('value', 'Value', 'text', $this->value),
        }];
    }

    public function with(array $values): static
    {
        return new self($this->record, $this->field, $values['value'] ?? $this->value, $this->mode, $this->old);
    }
}
