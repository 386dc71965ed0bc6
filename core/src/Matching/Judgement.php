<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** How likely it is that two records are of one person, and why. */
final readonly class Judgement
{
    /**
     * @param float $probability that they are one person, 0 to 1
     * @param float $household that they are two people of one household or office, 0 to 1
     * @param array<string, Level> $levels by field
     * @param array<string, float> $weights log2 by field; 0 where nothing can be said
     */
    public function __construct(public float $probability, public float $household, public Verdict $verdict, public array $levels, public array $weights)
    {
    }
}
