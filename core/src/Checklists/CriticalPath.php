<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/**
 * Earliest and latest days of work in order, in working days from the start, and the longest chain (critical path
 * method: J. E. Kelley and M. R. Walker, Critical-path planning and scheduling, 1959).
 */
final readonly class CriticalPath
{
    /** @var list<int> */
    public array $earliestStart;

    /** @var list<int> */
    public array $earliestFinish;

    /** @var list<int> */
    public array $latestFinish;

    /** @var int the largest earliest finish, 0 without work */
    public int $length;

    /** @var list<list<int>> by index what waits directly for it, ascending */
    private array $followers;

    /**
     * @param list<Work> $order each after all it waits for
     * @param int|null $readyBy the day's number; latest days count back from it, or from the length where that is later
     */
    public function __construct(array $order, ?int $readyBy)
    {
        $at = [];
        $starts = [];
        /** @var list<int> $finishes */
        $finishes = [];
        $length = 0;
        $followers = [];
        foreach ($order as $i => $work) {
            $at[$work->key] = $i;
            $followers[$i] = [];
            $start = $work->from;
            foreach (array_keys($work->waitsFor) as $key) {
                $before = $at[$key];
                $followers[$before][] = $i;
                if ($finishes[$before] > $start) {
                    $start = $finishes[$before];
                }
            }
            $starts[] = $start;
            $finishes[] = $finish = $start + $work->takes;
            if ($finish > $length) {
                $length = $finish;
            }
        }
        $this->followers = array_values($followers);
        $this->earliestStart = $starts;
        $this->earliestFinish = $finishes;
        $this->length = $length;
        $end = max($length, $readyBy ?? 0);
        $latest = array_fill(0, \count($order), $end);
        for ($i = \count($order) - 1; $i >= 0; --$i) {
            $least = $end;
            foreach ($followers[$i] as $follower) {
                $begin = $latest[$follower] - $order[$follower]->takes;
                if ($begin < $least) {
                    $least = $begin;
                }
            }
            $latest[$i] = $least;
        }
        $this->latestFinish = array_values($latest);
    }

    /**
     * Indexes of work, each waiting directly for the one before, that together take the whole length; of several such
     * runs the one whose numbers come first.
     *
     * @return list<int>
     */
    public function longestChain(): array
    {
        $isTight = [];
        for ($i = \count($this->followers) - 1; $i >= 0; --$i) {
            $isTight[$i] = $this->earliestFinish[$i] === $this->length || null !== $this->tightFollower($i, $isTight);
        }
        $chain = [];
        foreach ($this->earliestStart as $i => $start) {
            if (0 === $start && $isTight[$i]) {
                for ($next = $i; null !== $next; $next = $this->earliestFinish[$next] === $this->length ? null : $this->tightFollower($next, $isTight)) {
                    $chain[] = $next;
                }
                break;
            }
        }

        return $chain;
    }

    /** @param array<int, bool> $isTight whether a run from there fills what is left of the length */
    private function tightFollower(int $i, array $isTight): ?int
    {
        foreach ($this->followers[$i] as $follower) {
            if ($isTight[$follower] && $this->earliestStart[$follower] === $this->earliestFinish[$i]) {
                return $follower;
            }
        }

        return null;
    }
}
