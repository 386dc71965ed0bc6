<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** Counts how often values stand in records that are all at hand, as each of a pair of them sees the others. */
final class Counted implements Commonness
{
    private int $clients = 0;

    /** @var array<string, int> */
    private array $given = [];

    /** @var array<string, int> */
    private array $family = [];

    /** @var array<string, int> */
    private array $points = [];

    public function add(Person $person): void
    {
        ++$this->clients;
        self::one($this->given, $person->given[0] ?? '');
        self::one($this->family, $person->familyName());
        foreach (array_unique([...$person->emails, ...$person->phones]) as $point) {
            self::one($this->points, $point);
        }
    }

    public function clients(): int
    {
        return $this->clients;
    }

    public function given(string $name): int
    {
        return max(0, ($this->given[$name] ?? 0) - 1);
    }

    public function family(string $name): int
    {
        return max(0, ($this->family[$name] ?? 0) - 1);
    }

    /** Two records of one person hold it too: only from three on is it known to be shared. */
    public function sharedBy(string $point): int
    {
        return max(1, ($this->points[$point] ?? 0) - 1);
    }

    /** @param array<string, int> $counts */
    private static function one(array &$counts, string $value): void
    {
        if ('' !== $value) {
            $counts[$value] = ($counts[$value] ?? 0) + 1;
        }
    }
}
