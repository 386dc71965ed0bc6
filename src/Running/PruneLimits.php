<?php

declare(strict_types=1);

namespace Telamon\Running;

use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\Cache\PruneableInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Queue\DueWork;

/** What was counted of tries and sendings goes once it counts no longer: each address leaves a file behind. */
final readonly class PruneLimits implements DueWork
{
    public function __construct(#[Autowire(service: 'cache.rate_limiter')] private CacheItemPoolInterface $counts)
    {
    }

    public function name(): string
    {
        return 'counts-pruned';
    }

    public function words(): string
    {
        return 'Counts of tries and sendings are let go of';
    }

    public function every(): int
    {
        return 3600;
    }

    public function due(): array
    {
        return ['counts'];
    }

    public function carryOut(string $key): void
    {
        if ($this->counts instanceof PruneableInterface) {
            $this->counts->prune();
        }
    }
}
