<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Telamon\Business\BusinessFacts;
use Telamon\Core\Matching\Thresholds;
use Telamon\Core\Matching\Weights;

/** The weights and thresholds that the business matches by. */
final readonly class MatchSettings
{
    public function __construct(private BusinessFacts $facts)
    {
    }

    public function thresholds(): Thresholds
    {
        $business = $this->facts->business();

        return new Thresholds($business->sameFrom / 100, $business->perhapsFrom / 100);
    }

    public function weights(): Weights
    {
        $learned = $this->facts->business()->matchWeights;

        return [] === $learned ? Weights::defaults() : new Weights($learned);
    }
}
