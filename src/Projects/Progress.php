<?php

declare(strict_types=1);

namespace Telamon\Projects;

/** How far projects are. */
interface Progress
{
    /**
     * @param list<Project> $projects
     *
     * @return array<string, array{all: int, done: int}> tasks, by id of the project; those without any are left out
     */
    public function of(array $projects): array;
}
