<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

use Telamon\Core\Time\WorkingDays;

/**
 * Walks a series: from where somebody stands, over all steps that need no waiting, to the next wait. It writes
 * nothing and knows no clock but the one that is passed in, so a wound clock and the true one walk alike.
 */
final readonly class SeriesWalk
{
    /** Steps in one move at the most: behind the reader's own check, a stop for what nobody thought of. */
    private const MOST = 200;

    public function __construct(private WorkingDays $working, private Quiet $quiet = new Quiet())
    {
    }

    /**
     * @param \DateTimeImmutable $now in the time zone that days and quiet hours are counted in
     * @param \DateTimeImmutable|null $named the day that they named when they said "later"
     */
    public function move(Series $series, Stand $stand, \DateTimeImmutable $now, ?\DateTimeImmutable $named = null): Moved
    {
        $done = [];
        for ($i = 0; $i < self::MOST; ++$i) {
            $step = $series->at($stand);
            if (null === $step || StepKind::Stop === $step->kind) {
                return new Moved($done, null, null);
            }
            $next = new Stand($stand->course, $stand->index + 1);
            if (StepKind::Wait === $step->kind && null !== $step->wait) {
                $due = $step->wait->from($now, $this->working, $named);

                return new Moved($done, $next, true === $series->at($next)?->kind->reachesThem() ? $this->afterQuiet($due) : $due);
            }
            if (StepKind::GoOn === $step->kind) {
                $stand = $series->find($step->what) ?? $next;
                continue;
            }
            $done[] = $step;
            $stand = $next;
        }

        return new Moved($done, null, null);
    }

    /** The end of the quiet time, where a moment lies in it. */
    public function afterQuiet(\DateTimeImmutable $at): \DateTimeImmutable
    {
        return $this->quiet->after($at, $this->working);
    }
}
