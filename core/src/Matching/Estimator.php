<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/**
 * Estimates the weights anew from the business's own records, by expectation–maximisation (A. P. Dempster,
 * N. M. Laird, D. B. Rubin, "Maximum Likelihood from Incomplete Data via the EM Algorithm", Journal of the
 * Royal Statistical Society B 39, 1977) over the pairs that share a key; chance agreement is counted in pairs
 * drawn at random. What a household shares is left as it is: too few are on file to learn from.
 */
final readonly class Estimator
{
    private const ROUNDS = 30;
    /** As many pairs' worth the present weights count, so that few records do not turn them over. */
    private const PRIOR_PAIRS = 50;
    private const LEAST = 0.000_001;

    /**
     * @param list<array<string, Level>> $near comparisons of pairs that share a key
     * @param list<array<string, Level>> $random comparisons of pairs drawn at random
     */
    public function estimate(array $near, array $random, Weights $before): Weights
    {
        $patterns = [];
        foreach ($near as $levels) {
            $key = implode(' ', array_map(static fn (Level $level): string => $level->value, $levels));
            $patterns[$key] ??= ['levels' => $levels, 'count' => 0];
            ++$patterns[$key]['count'];
        }
        if ([] === $patterns || [] === $random) {
            return $before;
        }
        $shares = $before->shares;
        // Those who share a key and are two people agree in more than strangers do: they have a share of their own.
        $apart = self::counted($near, $shares);
        $prior = ['m' => .1, 'h' => .1, 'u' => .8];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            [$shares, $apart, $prior] = $this->round(array_values($patterns), $shares, $apart, $prior, $before);
        }
        $chance = self::counted($random, $before->shares);
        foreach ($shares as $field => $levels) {
            foreach (array_keys($levels) as $level) {
                // Never below what was: fields agree together more often by chance than each does alone.
                $shares[$field][$level] = [
                    'm' => $shares[$field][$level]['m'],
                    'h' => $before->shares[$field][$level]['h'],
                    'u' => max($before->shares[$field][$level]['u'], $chance[$field][$level]),
                ];
            }
        }

        return new Weights($shares);
    }

    /**
     * @param list<array{levels: array<string, Level>, count: int}> $patterns
     * @param array<string, array<string, array{m: float, h: float, u: float}>> $shares
     * @param array<string, array<string, float>> $apart
     * @param array{m: float, h: float, u: float} $prior
     *
     * @return array{array<string, array<string, array{m: float, h: float, u: float}>>, array<string, array<string, float>>, array{m: float, h: float, u: float}}
     */
    private function round(array $patterns, array $shares, array $apart, array $prior, Weights $before): array
    {
        $sums = [];
        $classes = ['m' => 0.0, 'h' => 0.0, 'u' => 0.0];
        foreach ($patterns as ['levels' => $levels, 'count' => $count]) {
            $likely = $prior;
            foreach ($levels as $field => $level) {
                $share = $shares[$field][$level->value] ?? null;
                if (null !== $share) {
                    $likely['m'] *= $share['m'];
                    $likely['h'] *= $share['h'];
                    $likely['u'] *= max(self::LEAST, $apart[$field][$level->value]);
                }
            }
            $all = array_sum($likely);
            foreach ($likely as $class => $value) {
                $part = $all > 0 ? $count * $value / $all : 0.0;
                $classes[$class] += $part;
                foreach ($levels as $field => $level) {
                    if (isset($shares[$field][$level->value])) {
                        $sums[$class][$field][$level->value] = ($sums[$class][$field][$level->value] ?? 0.0) + $part;
                    }
                }
            }
        }
        foreach ($shares as $field => $levels) {
            foreach ($levels as $level => $share) {
                $total = array_sum($sums['m'][$field] ?? []) + self::PRIOR_PAIRS;
                $shares[$field][$level] = [
                    'm' => max(self::LEAST, (($sums['m'][$field][$level] ?? 0.0) + $before->shares[$field][$level]['m'] * self::PRIOR_PAIRS) / $total),
                    'h' => $share['h'],
                    'u' => $share['u'],
                ];
                $apart[$field][$level] = ($sums['u'][$field][$level] ?? 0.0) / max(1, array_sum($sums['u'][$field] ?? []));
            }
        }
        $shares = self::held($shares, $before);
        $all = array_sum($classes);

        return [$shares, $apart, ['m' => $classes['m'] / $all, 'h' => $classes['h'] / $all, 'u' => $classes['u'] / $all]];
    }

    /**
     * What clashing given names mean is held as it was, or else one person and a household would change places:
     * both are clusters of records that agree.
     *
     * @param array<string, array<string, array{m: float, h: float, u: float}>> $shares
     *
     * @return array<string, array<string, array{m: float, h: float, u: float}>>
     */
    private static function held(array $shares, Weights $before): array
    {
        $given = $shares[Field::Given->value] ?? [];
        $clashes = [Level::Different->value => true, Level::Other->value => true];
        $held = array_sum(array_map(static fn (array $share): float => $share['m'], array_intersect_key($before->shares[Field::Given->value] ?? [], $clashes)));
        $rest = array_sum(array_map(static fn (array $share): float => $share['m'], array_diff_key($given, $clashes)));
        foreach (array_keys($given) as $level) {
            $m = isset($clashes[$level]) ? $before->shares[Field::Given->value][$level]['m'] : $given[$level]['m'] * (1 - $held) / max(self::LEAST, $rest);
            $shares[Field::Given->value][$level] = ['m' => $m, 'h' => $given[$level]['h'], 'u' => $given[$level]['u']];
        }

        return $shares;
    }

    /**
     * How often each level comes about, with the present share as so many pairs' worth.
     *
     * @param list<array<string, Level>> $comparisons
     * @param array<string, array<string, array{m: float, h: float, u: float}>> $shares
     *
     * @return array<string, array<string, float>>
     */
    private static function counted(array $comparisons, array $shares): array
    {
        $counts = [];
        foreach ($comparisons as $levels) {
            foreach ($levels as $field => $level) {
                $counts[$field][$level->value] = ($counts[$field][$level->value] ?? 0) + 1;
            }
        }
        $result = [];
        foreach ($shares as $field => $levels) {
            $total = array_sum(array_intersect_key($counts[$field] ?? [], $levels)) + self::PRIOR_PAIRS;
            foreach ($levels as $level => $share) {
                $result[$field][$level] = max(self::LEAST, (($counts[$field][$level] ?? 0) + $share['u'] * self::PRIOR_PAIRS) / $total);
            }
        }

        return $result;
    }
}
