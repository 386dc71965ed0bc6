<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleField;
use Telamon\Core\Rules\SetOff;
use Telamon\Core\Rules\Triggers\ClientChanged;

/** Writes a field of a record. */
final readonly class WriteField implements RuleAction
{
    use Plain;

    /** Those that a rule may set, beside own ones. */
    private const FIELDS = ['client' => ['organisation', 'notes'], 'project' => ['budget', 'notes'], 'asset' => ['place']];

    private function __construct(public string $record, public string $field, public string $value)
    {
    }

    public static function name(): string
    {
        return 'field';
    }

    public static function phrase(): string
    {
        return 'set';
    }

    public static function fields(): array
    {
        return [RuleField::recordField('Field'), RuleField::text('value', 'Value')->in('to …')];
    }

    public static function read(ActionText $given): self
    {
        $record = $given->oneOf('record', array_keys(self::FIELDS), 'Choose client, project or asset.');
        $field = $given->needed('field');
        if (!\in_array($field, self::FIELDS[$record], true) && 1 !== preg_match('/^custom\.[a-z][a-z0-9_]{0,39}$/', $field)) {
            throw $given->wrong('field', 'Choose a field.');
        }

        return new self($record, $field, $given->needed('value'));
    }

    public function words(): string
    {
        return "{$this->field} of the {$this->record}";
    }

    public function needsProject(): bool
    {
        return 'client' !== $this->record;
    }

    public function texts(): array
    {
        return [$this->value];
    }

    public function setsOff(): ?SetOff
    {
        return 'client' === $this->record ? new SetOff(ClientChanged::class, $this->field) : null;
    }
}
