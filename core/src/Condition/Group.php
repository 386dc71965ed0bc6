<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

/** All of several conditions, any of them, or not one. All of none holds; any of none does not. */
final readonly class Group implements Condition
{
    /**
     * @param 'all'|'any'|'not' $kind
     * @param list<Condition> $parts one for “not”
     */
    public function __construct(public string $kind, public array $parts)
    {
    }

    public function holds(Facts $facts): bool
    {
        foreach ($this->parts as $part) {
            $holds = $part->holds($facts);
            if ('not' === $this->kind) {
                return !$holds;
            }
            if ($holds === ('any' === $this->kind)) {
                return $holds;
            }
        }

        return 'all' === $this->kind;
    }

    public function questions(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (Condition $part): array => $part->questions(), $this->parts))));
    }

    public function tests(): array
    {
        return array_merge(...array_map(static fn (Condition $part): array => $part->tests(), $this->parts));
    }
}
