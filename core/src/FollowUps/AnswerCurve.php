<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

/**
 * The share of those who were written to that has not answered yet, by the time since it began: the product-limit
 * estimate of E. L. Kaplan and P. Meier, Nonparametric Estimation from Incomplete Observations, Journal of the American
 * Statistical Association 53 (1958), 457–481. Whoever is still waited for, or was let go without an answer, counts as
 * far as they were watched, so the latest that began do not push the share up.
 */
final readonly class AnswerCurve
{
    /**
     * @param int $cases people watched
     * @param list<array{days: float, left: float}> $points where the share falls: days since the beginning, and the share left from there on, 0 to 1; in order of days
     */
    private function __construct(public int $cases, public array $points)
    {
    }

    /** @param list<array{days: float, answered: bool}> $watched each for how many days, and whether the answer ended it */
    public static function of(array $watched): self
    {
        $ends = [];
        foreach ($watched as $one) {
            // Two who answered in one second fall together; a key cannot be a float.
            $at = number_format(max(0.0, $one['days']), 5, '.', '');
            $ends[$at] ??= ['days' => (float) $at, 'answered' => 0, 'all' => 0];
            $ends[$at]['answered'] += $one['answered'] ? 1 : 0;
            ++$ends[$at]['all'];
        }
        usort($ends, static fn (array $a, array $b): int => $a['days'] <=> $b['days']);
        $points = [];
        $left = 1.0;
        $watching = \count($watched);
        foreach ($ends as $end) {
            if ($end['answered'] > 0) {
                $left *= 1 - $end['answered'] / $watching;
                $points[] = ['days' => $end['days'], 'left' => $left];
            }
            $watching -= $end['all'];
        }

        return new self(\count($watched), $points);
    }

    /** @return float the share that has not answered so many days after the beginning, 0 to 1 */
    public function at(float $days): float
    {
        $left = 1.0;
        foreach ($this->points as $point) {
            if ($point['days'] > $days) {
                break;
            }
            $left = $point['left'];
        }

        return $left;
    }
}
