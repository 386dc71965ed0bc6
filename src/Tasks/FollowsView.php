<?php

declare(strict_types=1);

namespace Telamon\Tasks;

/** What a change takes along, as the contract has it. */
final readonly class FollowsView
{
    /**
     * @param array{moved: list<array{task: Task, due: \DateTimeImmutable}>, held: list<array{task: Task, earliest: string}>} $behind
     * @param array<int, string> $was the day on which a task was due before anything changed, by number; as it is where it is not there
     *
     * @return array{moved: list<array{number: int, name: string, was: string, due: string}>, stays: list<array{number: int, name: string, due: string, earliest: string}>} as Follows in the contract
     */
    public static function of(array $behind, array $was = []): array
    {
        return [
            'moved' => array_map(
                static fn (array $one): array => [
                    'number' => $one['task']->position,
                    'name' => $one['task']->name,
                    'was' => $was[$one['task']->position] ?? $one['task']->due->format('Y-m-d'),
                    'due' => $one['due']->format('Y-m-d'),
                ],
                $behind['moved'],
            ),
            'stays' => array_map(
                static fn (array $one): array => [
                    'number' => $one['task']->position,
                    'name' => $one['task']->name,
                    'due' => $one['task']->due->format('Y-m-d'),
                    'earliest' => $one['earliest'],
                ],
                $behind['held'],
            ),
        ];
    }
}
