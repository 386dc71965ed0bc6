<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** The free times of a kind of visit. */
final readonly class TimesOf
{
    /**
     * @param int $minutes that it takes
     * @param list<array{start: string, with: string}> $times starts by the clock of the business (RFC 3339), in order; who could come, in words
     */
    public function __construct(public string $title, public int $minutes, public array $times)
    {
    }
}
