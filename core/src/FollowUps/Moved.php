<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** What one move through a series comes to: steps that are done now, and where it waits then. */
final readonly class Moved
{
    /**
     * @param list<Step> $done in order
     * @param Stand|null $stand null where the series has ended
     * @param \DateTimeImmutable|null $due when it goes on; null where it has ended
     */
    public function __construct(public array $done, public ?Stand $stand, public ?\DateTimeImmutable $due)
    {
    }
}
