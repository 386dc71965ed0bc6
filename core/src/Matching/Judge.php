<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/**
 * Tells from a comparison how likely two records are of one person: the product of the fields' ratios and of
 * the odds before anything was compared (Fellegi and Sunter, 1969), over three classes instead of two.
 */
final readonly class Judge
{
    /** Of so few records nothing follows from how rare a pair is. */
    private const LEAST_CLIENTS = 300;
    /** Pairs of one person, and of one household, for each record on file. */
    private const PAIRS_SAME = 0.085;
    private const PAIRS_HOUSEHOLD = 0.05;
    /** How much rarer one given name is within a household than among strangers. */
    private const NAMESAKES = 0.3;
    /** As many records' worth the shares of Weights count when names on file are counted. */
    private const PRIOR_RECORDS = 300;

    private Comparator $comparator;
    private Weights $weights;

    public function __construct(
        ShortForms $forms,
        private Commonness $commonness = new NothingCounted(),
        ?Weights $weights = null,
        private Thresholds $thresholds = new Thresholds(),
    ) {
        $this->weights = $weights ?? Weights::defaults();
        $this->comparator = new Comparator($forms, $commonness);
    }

    public function judge(Person $a, Person $b): Judgement
    {
        return $this->weigh($this->comparator->compare($a, $b), $a, $b);
    }

    /** @param array<string, Level> $levels */
    private function weigh(array $levels, Person $a, Person $b): Judgement
    {
        $shares = $this->weights->shares;
        $swapped = Level::Different === ($levels[Field::Order->value] ?? null);
        $pairs = max(self::LEAST_CLIENTS, $this->commonness->clients()) / 2;
        $same = log(self::PAIRS_SAME / $pairs, 2);
        $household = log(self::PAIRS_HOUSEHOLD / $pairs, 2);
        $weights = [];
        foreach ($levels as $field => $level) {
            $share = $shares[$field][$level->value] ?? null;
            if (null === $share) {
                $weights[$field] = 0.0;
                continue;
            }
            $u = Level::Same === $level ? $this->common($field, $share['u'], $a, $swapped) : $share['u'];
            // Two of one household seldom have one given name: less often than two strangers.
            $h = 'given' === $field && Level::Same === $level ? $u * self::NAMESAKES : $share['h'];
            $weights[$field] = Weights::log2($share['m'], $u);
            $same += $weights[$field];
            $household += Weights::log2($h, $u);
        }
        $clash = \in_array($levels['given'] ?? Level::Missing, [Level::Different, Level::Other], true);
        $odds = [2 ** min(500, $same), 2 ** min(500, $household), 1];
        // Whose given names clash is never taken for one person without being asked about.
        $probability = min($odds[0] / array_sum($odds), $clash ? $this->thresholds->same - 0.001 : 1);
        $together = $odds[1] / array_sum($odds);

        return new Judgement($probability, $together, $this->verdict($probability, $together, $levels), $levels, $weights);
    }

    /** @param array<string, Level> $levels */
    private function verdict(float $same, float $household, array $levels): Verdict
    {
        return match (true) {
            $same >= $this->thresholds->same => Verdict::Same,
            $same >= $this->thresholds->perhaps => Verdict::Perhaps,
            $household >= 0.5 && self::live($levels) => Verdict::Household,
            default => Verdict::Different,
        };
    }

    /**
     * Whether something is shared that people of one household or office share: neighbours are none.
     *
     * @param array<string, Level> $levels
     */
    private static function live(array $levels): bool
    {
        foreach ([Field::Email, Field::Phone, Field::Address, Field::Organisation] as $field) {
            if (\in_array($levels[$field->value] ?? null, [Level::Same, Level::Shared, Level::Near], true)) {
                return true;
            }
        }

        return false;
    }

    /** The share of clients who have the name; where names swapped, whichever way is more common. */
    private function common(string $field, float $u, Person $a, bool $swapped): float
    {
        $clients = $this->commonness->clients();
        if (0 === $clients || !\in_array($field, ['given', 'family'], true)) {
            return $u;
        }
        $count = 0;
        foreach ($swapped ? [$a->given[0] ?? '', $a->familyName()] : ['given' === $field ? $a->given[0] ?? '' : $a->familyName()] as $name) {
            $count = max($count, 'given' === $field ? $this->commonness->given($name) : $this->commonness->family($name));
        }

        return max(0.5, $count + $u * self::PRIOR_RECORDS) / ($clients + self::PRIOR_RECORDS);
    }
}
