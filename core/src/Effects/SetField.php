<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

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
    private function __construct(
        public string $record,
        public string $field,
        public string $value,
        public string $mode,
        public string $old,
    ) {
    }

    /** Where nothing stands, or beside what stands there. */
    public static function to(string $record, string $field, string $value): self
    {
        return new self($record, $field, $value, 'add', '');
    }

    public static function instead(string $record, string $field, string $value, string $old): self
    {
        return new self($record, $field, $value, 'replace', $old);
    }

    public static function name(): string
    {
        return 'field.set';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        $value = $from->part('value', $telling->shown($this->fields()[0]));

        return match ("{$this->record}.{$this->field}") {
            'client.owner' => [$value, Part::words(' looks after the client')],
            'project.lead' => [$value, Part::words(' leads the project')],
            'project.stage' => [Part::words('Move the project to '), $value],
            'project.notes' => [Part::words('Note: '), $value],
            default => [
                Part::words($telling->label($this->record, $this->field).': '),
                $value,
                ...('replace' === $this->mode ? [Part::words(' instead of '), Part::value('phone' === $this->field ? $telling->phone($this->old) : $this->old)] : []),
            ],
        };
    }

    public function fields(): array
    {
        return [match (true) {
            \in_array($this->field, ['owner', 'lead'], true) => new LineField('value', 'Who', 'staff', $this->value, 'staff'),
            1 === preg_match('/^\d{4}-\d{2}-\d{2}$/', $this->value) => new LineField('value', 'Day', 'day', $this->value, 'day'),
            \in_array($this->field, ['email', 'phone'], true) => new LineField('value', 'Value', 'text', $this->value, $this->field),
            default => new LineField('value', 'Value', 'text', $this->value),
        }];
    }

    public function with(array $values): static
    {
        return new self($this->record, $this->field, $values['value'] ?? $this->value, $this->mode, $this->old);
    }
}
