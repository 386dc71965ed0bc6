<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Facts;

/** How an answer counts towards the order in which arrivals are looked at. */
enum Pointing
{
    case ByChoice;
    /** From an amount on. */
    case ByAmount;
    /** Within a number of days from the day that it came. */
    case ByDay;

    /** @param string $day ISO 8601 day that it came */
    public function reaches(string $value, string $step, string $day): bool
    {
        if (self::ByChoice === $this) {
            return $value === $step;
        }
        $bound = Facts::asNumber($step);
        if (self::ByDay === $this) {
            $utc = new \DateTimeZone('UTC');
            $wanted = \DateTimeImmutable::createFromFormat('!Y-m-d', $value, $utc);
            $came = \DateTimeImmutable::createFromFormat('!Y-m-d', $day, $utc);

            return false !== $wanted && false !== $came && null !== $bound && $bound->isGreaterThanOrEqualTo((int) $came->diff($wanted)->format('%r%a'));
        }
        $number = Facts::asNumber($value);

        return null !== $number && null !== $bound && $number->isGreaterThanOrEqualTo($bound);
    }
}
