<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A project in mid-life: its checklists, what has become of their items, and which lists join now. */
final readonly class Standing
{
    /**
     * @param list<string> $join keys of lists: their items that stand nowhere yet are new
     * @param array<string, StandingTask> $tasks by full key
     */
    public function __construct(public Outline $outline, public \DateTimeImmutable $today, public array $join, public array $tasks)
    {
    }
}
