<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Telamon\Business\Profile;
use Telamon\Core\Matching\Thresholds;
use Telamon\Core\Matching\Weights;

/** The weights and thresholds that the business matches by. */
final readonly class MatchSettings
{
    public function __construct(private Profile $business)
    {
    }

    public function thresholds(): Thresholds
    {
        $business = $this->business->business();

        return new Thresholds($business->sameFrom / 100, $business->perhapsFrom / 100);
    }

    public function weights(): Weights
    {
        $learned = $this->business->business()->matchWeights;

        return [] === $learned ? Weights::defaults() : new Weights($learned);
    }
}
