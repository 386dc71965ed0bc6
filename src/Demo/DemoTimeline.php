<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Telamon\Business\Profile;
use Telamon\Time\AppClock;

/** Things that happened, carried out in their order at the time they happened. One may lead to others later. */
final class DemoTimeline
{
    /** @var \SplPriorityQueue<array{int, int}, array{time: int, what: callable(): void}> */
    private \SplPriorityQueue $events;
    private int $added = 0;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Profile $business, private readonly AppClock $clock)
    {
        $this->events = new \SplPriorityQueue();
    }

    /** @param callable(): void $what */
    public function at(\DateTimeImmutable $when, callable $what): void
    {
        $this->events->insert(['time' => $when->getTimestamp(), 'what' => $what], [-$when->getTimestamp(), -$this->added++]);
    }

    public function now(): \DateTimeImmutable
    {
        return $this->clock->now();
    }

    /** Runs what happens before this moment; what would come later never happened. */
    public function runUntil(\DateTimeImmutable $end): void
    {
        $real = Clock::get();
        try {
            while (!$this->events->isEmpty()) {
                /** @var array{time: int, what: callable(): void} $event */
                $event = $this->events->extract();
                if ($event['time'] > $end->getTimestamp()) {
                    break;
                }
                Clock::set(new MockClock('@'.($event['time'] - $this->clock->shift)));
                $event['what']();
                $this->em->clear();
                $this->business->reset();
            }
        } finally {
            Clock::set($real);
        }
    }
}
