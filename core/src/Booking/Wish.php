<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** When somebody would like something to be: days, days of the week, a part of the day, or a time. What was not said is open. */
final readonly class Wish
{
    /**
     * @param string $first, $last local days, ISO 8601; empty for any
     * @param list<int> $weekdays ISO 8601, 1 is Monday; none for any
     * @param int $from, $to minutes of the day within which it should lie
     * @param int|null $at minute of the day at which it should begin; null where no time was said
     */
    public function __construct(
        public string $first = '',
        public string $last = '',
        public array $weekdays = [],
        public int $from = 0,
        public int $to = 1440,
        public ?int $at = null,
    ) {
    }
}
