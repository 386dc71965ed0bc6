<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Booking\TimesAhead;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Readings;

/** Lets a plan look for the times that are free now. */
final readonly class WishedTimes
{
    public function __construct(private FreeTimes $times, private VisitTypes $types, private Profile $business, private ClockInterface $clock)
    {
    }

    public function of(Readings $readings): TimesAhead
    {
        return new TimesAheadOf(
            $this->times,
            $this->types,
            $this->clock->now()->setTimezone($this->business->zone()),
            $readings->for(Destination::AssetPlace)->text ?? $readings->for(Destination::ClientAddress)->text ?? '',
        );
    }
}
