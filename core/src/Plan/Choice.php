<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** A choice that a plan line offers; open while nothing is chosen. */
final readonly class Choice
{
    /** @param list<array{value: string, hotkey: string, label: string}> $options */
    public function __construct(public string $key, public ?string $chosen, public array $options)
    {
    }

    /** @return array{key: string, open: bool, chosen: string|null, options: list<array{value: string, hotkey: string, label: string}>} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'open' => null === $this->chosen, 'chosen' => $this->chosen, 'options' => $this->options];
    }
}
