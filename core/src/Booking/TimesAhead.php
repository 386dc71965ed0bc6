<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Where a plan finds the times that are free now. */
interface TimesAhead
{
    /**
     * @param string $kind ending of the address of a kind of visit
     *
     * @return TimesOf|null null where there is no such kind
     */
    public function of(string $kind, Wish $wish): ?TimesOf;
}
