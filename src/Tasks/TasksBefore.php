<?php

declare(strict_types=1);

namespace Telamon\Tasks;

/** The number of the last task that a project had before a plan: the plan's own are numbered after it. */
final readonly class TasksBefore
{
    public function __construct(public int $number)
    {
    }
}
