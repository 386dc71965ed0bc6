<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Psr\Cache\CacheItemPoolInterface;
use Psr\Clock\ClockInterface;
use Telamon\Staff\Staff;

/** Who looks at a submission just now. Kept in memory that may be lost: nothing rests on it. */
final readonly class Lookers
{
    /** Seconds without asking again after which somebody has gone. */
    private const GONE = 60;

    public function __construct(private CacheItemPoolInterface $cache, private ClockInterface $clock)
    {
    }

    /** @return list<string> the names of the others */
    public function look(string $submissionId, Staff $staff): array
    {
        $item = $this->cache->getItem("lookers-$submissionId");
        $now = $this->clock->now()->getTimestamp();
        $others = [];
        $looking = [$staff->id => [$staff->name, $now]];
        $before = $item->get();
        foreach (\is_array($before) ? $before : [] as $id => $one) {
            if (\is_array($one) && \is_string($one[0] ?? null) && \is_int($one[1] ?? null) && $id !== $staff->id && $one[1] > $now - self::GONE) {
                $looking[(string) $id] = [$one[0], $one[1]];
                $others[] = $one[0];
            }
        }
        $mine = \is_array($before) && \is_array($before[$staff->id] ?? null) ? $before[$staff->id][1] ?? 0 : 0;
        if (!\is_int($mine) || $mine < $now - self::GONE / 3) {
            $this->cache->save($item->set($looking)->expiresAfter(self::GONE));
        }

        return $others;
    }
}
