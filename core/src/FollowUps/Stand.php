<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** Where somebody stands: the next step of a course. */
final readonly class Stand
{
    public function __construct(public Course $course, public int $index)
    {
    }
}
