<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** What of the work by the clock does not get done, in words for whoever looks at Today. */
final readonly class Stuck
{
    /** Seconds for which a kind of work may not be looked at before its process counts as gone; or as long as three looks. */
    private const STALLED = 300;

    public function __construct(private Connection $db, private DueRun $run, private DueTroubles $troubles, private ClockInterface $clock)
    {
    }

    /** @return list<string> */
    public function words(): array
    {
        $names = $this->run->words();
        $found = [];
        foreach ($this->troubles->stuck() as $one) {
            $found[$one['work']][] = $one;
        }
        $words = [];
        foreach ($found as $work => $all) {
            $what = $names[$work] ?? $work;
            $words[] = "$what: ".(1 === \count($all) ? '' : \count($all).' of them ').'could not be done'.($all[0]['tries'] > 1 ? ", tried {$all[0]['tries']} times" : '').". {$all[0]['why']}";
        }

        return $words;
    }

    /** @return list<string> kinds of work that nobody does, though they were done before */
    public function stalled(): array
    {
        $now = $this->clock->now()->getTimestamp();
        /** @var list<string> $names */
        $names = $this->db->fetchFirstColumn('SELECT name FROM due_work WHERE next_at < ? AND next_at + 2 * (next_at - looked_at) < ? ORDER BY name', [$now - self::STALLED, $now]);

        return array_values(array_intersect($names, array_keys($this->run->words())));
    }
}
