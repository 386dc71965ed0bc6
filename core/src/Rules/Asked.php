<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** Something that a condition of a rule may ask about beside the answers. */
final readonly class Asked
{
    /**
     * @param string $name begins with @, which keeps it apart from keys of questions
     * @param string $words how it is called where one is chosen
     * @param string $kind of question, whose ways of asking it takes
     * @param list<array{value: string, label: string}> $options
     * @param bool $ofProject whether it is known only where something happens to a project that is there
     */
    private function __construct(public string $name, public string $words, public string $kind, public array $options = [], public bool $ofProject = false)
    {
    }

    public static function text(string $name, string $words): self
    {
        return new self($name, $words, 'short-text');
    }

    public static function number(string $name, string $words): self
    {
        return new self($name, $words, 'number');
    }

    public static function yesNo(string $name, string $words): self
    {
        return new self($name, $words, 'yes-no');
    }

    /** @param array<string, string> $options labels by value */
    public static function oneOf(string $name, string $words, array $options): self
    {
        return new self(
            $name,
            $words,
            'one-of',
            array_map(static fn (string $value, string $label): array => ['value' => $value, 'label' => $label], array_keys($options), $options),
        );
    }

    public function ofProject(): self
    {
        return new self($this->name, $this->words, $this->kind, $this->options, true);
    }

    /** @return array<string, mixed> as RuleFact in api/openapi.yaml */
    public function toArray(): array
    {
        return ['key' => $this->name, 'wording' => $this->words, 'type' => $this->kind, 'options' => $this->options, 'ofProject' => $this->ofProject];
    }
}
