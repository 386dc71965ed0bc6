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

    /** @return list<string> the names of the others; from now on somebody looks too */
    public function look(string $submissionId, Staff $staff): array
    {
        $looking = $this->looking($submissionId);
        $now = $this->clock->now()->getTimestamp();
        if (($looking[$staff->id][1] ?? 0) < $now - self::GONE / 3) {
            $looking[$staff->id] = [$staff->name, $now];
            $this->cache->save($this->cache->getItem("lookers-$submissionId")->set($looking)->expiresAfter(self::GONE));
        }

        return self::names($looking, $staff);
    }

    /** @return list<string> the names of the others */
    public function others(string $submissionId, Staff $staff): array
    {
        return self::names($this->looking($submissionId), $staff);
    }

    /** @return array<string, array{string, int}> name and when they asked last, by id */
    private function looking(string $submissionId): array
    {
        $before = $this->cache->getItem("lookers-$submissionId")->get();
        $now = $this->clock->now()->getTimestamp();
        $looking = [];
        foreach (\is_array($before) ? $before : [] as $id => $one) {
            if (\is_array($one) && \is_string($one[0] ?? null) && \is_int($one[1] ?? null) && $one[1] > $now - self::GONE) {
                $looking[(string) $id] = [$one[0], $one[1]];
            }
        }

        return $looking;
    }

    /**
     * @param array<string, array{string, int}> $looking
     *
     * @return list<string>
     */
    private static function names(array $looking, Staff $staff): array
    {
        return array_column(array_values(array_diff_key($looking, [$staff->id => true])), 0);
    }
}
