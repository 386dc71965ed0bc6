<?php

declare(strict_types=1);

namespace Telamon\Tasks;

/** Where the tasks of a plan stand in their project: after those that it had before, those that it had already where they stand. */
final class TasksBefore
{
    /** @var array<int, int> number in the project by number in the plan */
    public array $places = [];

    /** @param int $number of the last task so far */
    public function __construct(public int $number)
    {
    }
}
