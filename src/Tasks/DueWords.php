<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayWords;
use Telamon\Core\Time\DueReader;
use Telamon\Refusal\InvalidInput;

/** By when something is due, as somebody wrote it. */
final readonly class DueWords
{
    public function __construct(private Profile $business, private ClockInterface $clock)
    {
    }

    /**
     * @return \DateTimeImmutable|null null where nothing was written
     *
     * @throws InvalidInput where it is no day, or could be two
     */
    public function read(?string $text): ?\DateTimeImmutable
    {
        if (null === $text || '' === trim($text)) {
            return null;
        }
        $today = new \DateTimeImmutable($this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $days = (new DueReader($this->business->workingDays()))->read($text, $today, 'US' === $this->business->business()->region ? DayOrder::MonthFirst : DayOrder::DayFirst);
        if (\count($days) > 1) {
            throw new InvalidInput('due', 'This could be '.DayWords::short($days[0], $today).' or '.DayWords::short($days[1], $today).'. Write the month as a word.');
        }

        return $days[0] ?? throw new InvalidInput('due', 'This is no day. Write it like tomorrow, next Tue, in 3 working days, 14/1 or 2027-06-12.');
    }
}
