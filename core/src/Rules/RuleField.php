<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** A value that an action or a trigger is given, and how the editor asks for it. */
final readonly class RuleField
{
    /**
     * @param string $name as it is stored
     * @param 'text'|'wide'|'line'|'choice'|'who'|'field'|'number' $kind text and wide may hold merge fields
     * @param string $phrase the words around it, with … in its place
     * @param string $from the list of the contract's rule offers that it is chosen from; empty for none
     * @param list<array{value: string, label: string}> $options before those of the list
     * @param string $any what stands where nothing is chosen and nothing need be; empty where something must
     */
    private function __construct(
        private string $name,
        private string $label,
        private string $kind,
        private string $phrase = '…',
        private string $from = '',
        private array $options = [],
        private string $any = '',
    ) {
    }

    public static function text(string $name, string $label): self
    {
        return new self($name, $label, 'text');
    }

    /** A text that may be long. */
    public static function wide(string $name, string $label): self
    {
        return new self($name, $label, 'wide');
    }

    /** A text without merge fields. */
    public static function line(string $name, string $label): self
    {
        return new self($name, $label, 'line');
    }

    public static function number(string $name, string $label): self
    {
        return new self($name, $label, 'number');
    }

    /** One of a list that the server offers. */
    public static function choice(string $name, string $label, string $from): self
    {
        return new self($name, $label, 'choice', '…', $from);
    }

    /** @param array<string, string> $options labels by value */
    public static function oneOf(string $name, string $label, array $options): self
    {
        return new self($name, $label, 'choice', '…', '', self::offered($options));
    }

    /**
     * Somebody of the staff, or several of whom one is chosen: their ids are stored as “among”.
     *
     * @param array<string, string> $roles labels by value
     */
    public static function who(string $name, string $label, array $roles = []): self
    {
        return new self($name, $label, 'who', '…', 'staff', self::offered($roles));
    }

    /** A field of a record: stored as “record” and “field”. */
    public static function recordField(string $label): self
    {
        return new self('field', $label, 'field', '…', 'fields');
    }

    /** @param string $phrase with … where the value stands: “in … working days” */
    public function in(string $phrase): self
    {
        return new self($this->name, $this->label, $this->kind, $phrase, $this->from, $this->options, $this->any);
    }

    /** @param string $words what stands where nothing is chosen */
    public function orAny(string $words): self
    {
        return new self($this->name, $this->label, $this->kind, $this->phrase, $this->from, $this->options, $words);
    }

    /** @return array<string, mixed> as RuleField in api/openapi.yaml */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /**
     * @param array<string, string> $options
     *
     * @return list<array{value: string, label: string}>
     */
    private static function offered(array $options): array
    {
        return array_map(static fn (string $value, string $label): array => ['value' => $value, 'label' => $label], array_keys($options), $options);
    }
}
