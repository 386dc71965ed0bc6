<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/** A series on a clock that is wound forward: everything that it would do, with its time. Nothing is done. */
final readonly class Rehearsal
{
    /** Moments at the most. */
    private const MOST = 100;

    public function __construct(private SeriesWalk $walk)
    {
    }

    /**
     * @param \DateTimeImmutable|null $answeredAt when the one who is written to answers; null for never
     * @param Course|null $answer with what; null for “stop”
     *
     * @return list<array{at: \DateTimeImmutable, step: Step|null, course: Course}> in order; a step of null is the end
     */
    public function run(Series $series, \DateTimeImmutable $start, ?\DateTimeImmutable $answeredAt = null, ?Course $answer = null): array
    {
        $acts = [];
        $stand = new Stand(Course::Main, 0);
        $now = $start;
        $left = $answeredAt;
        for ($i = 0; $i < self::MOST; ++$i) {
            $moved = $this->walk->move($series, $stand, $now);
            foreach ($moved->done as $step) {
                $acts[] = ['at' => $now, 'step' => $step, 'course' => $stand->course];
            }
            if (null !== $left && (null === $moved->due || $moved->due > $left)) {
                if (null === $moved->due && $left > $now) {
                    // It had ended before they answered.
                    $acts[] = ['at' => $now, 'step' => null, 'course' => $stand->course];

                    return $acts;
                }
                [$now, $left] = [$left, null];
                if (null === $answer || [] === $series->steps($answer)) {
                    $acts[] = ['at' => $now, 'step' => null, 'course' => $answer ?? $stand->course];

                    return $acts;
                }
                $stand = new Stand($answer, 0);
                continue;
            }
            if (null === $moved->stand || null === $moved->due) {
                $acts[] = ['at' => $now, 'step' => null, 'course' => $stand->course];

                return $acts;
            }
            [$stand, $now] = [$moved->stand, $moved->due];
        }

        return $acts;
    }
}
