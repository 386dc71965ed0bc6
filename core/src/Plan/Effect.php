<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** What accepting a line writes: a kind and its values, ready to be carried out without further thought. */
final readonly class Effect
{
    /** @param array<string, string|int|list<string>|list<int>|null> $values */
    public function __construct(public EffectKind $kind, public array $values)
    {
    }

    public function text(string $key): string
    {
        $value = $this->values[$key] ?? '';

        return \is_string($value) ? $value : throw new \LogicException("{$this->kind->value}: $key is no text");
    }

    public function number(string $key): int
    {
        $value = $this->values[$key] ?? null;

        return \is_int($value) ? $value : throw new \LogicException("{$this->kind->value}: $key is no number");
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        $value = $this->values[$key] ?? [];

        return \is_array($value) ? array_map(strval(...), $value) : throw new \LogicException("{$this->kind->value}: $key is no list");
    }

    /** @return list<int> */
    public function numbers(string $key): array
    {
        return array_map(intval(...), $this->texts($key));
    }
}
