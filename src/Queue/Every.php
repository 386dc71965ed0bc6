<?php

declare(strict_types=1);

namespace Telamon\Queue;

/** Lets something be done at most once in so many seconds, for as long as the process lives. */
final class Every
{
    private ?int $last = null;

    public function __construct(private readonly int $seconds)
    {
    }

    /** @param \DateTimeInterface $now a clock that was set back counts as time gone by */
    public function isDue(\DateTimeInterface $now): bool
    {
        $at = $now->getTimestamp();
        if (null !== $this->last && abs($at - $this->last) < $this->seconds) {
            return false;
        }
        $this->last = $at;

        return true;
    }
}
