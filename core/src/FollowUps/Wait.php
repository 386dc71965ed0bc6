<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

use Telamon\Core\Time\WorkingDays;

/** How long nothing happens: so many hours, days or working days, then until a time of day. */
final readonly class Wait
{
    /** Days at the most: what nobody answered in a year, a series does not ask. */
    public const LONGEST = 366;

    /**
     * @param string $unit “hours”, “days” or “working-days”
     * @param string $at until that time of day, as 10:00; empty for as it falls
     */
    public function __construct(public int $amount, public string $unit, public string $at)
    {
    }

    /** @param \DateTimeImmutable $from in the time zone that days and hours are counted in */
    public function from(\DateTimeImmutable $from, WorkingDays $working): \DateTimeImmutable
    {
        $then = match ($this->unit) {
            'hours' => $from->setTimestamp($from->getTimestamp() + 3600 * $this->amount),
            'working-days' => $this->onWorkingDay($from, $working),
            default => $from->modify("+{$this->amount} days"),
        };
        if ('' === $this->at) {
            return $then;
        }
        [$hour, $minute] = array_map(intval(...), explode(':', $this->at));
        $at = $then->setTime($hour, $minute);

        // The day was waited for already: at that time of it, also where it began later. Hours go on to the next one.
        return $at < $then && 'hours' === $this->unit ? $at->modify('+1 day') : ($at < $from ? $at->modify('+1 day') : $at);
    }

    public function words(): string
    {
        $unit = match ($this->unit) {
            'hours' => 1 === $this->amount ? 'hour' : 'hours',
            'working-days' => 1 === $this->amount ? 'working day' : 'working days',
            default => 1 === $this->amount ? 'day' : 'days',
        };

        return "{$this->amount} $unit".('' === $this->at ? '' : ", then at {$this->at}");
    }

    private function onWorkingDay(\DateTimeImmutable $from, WorkingDays $working): \DateTimeImmutable
    {
        $day = $working->add(new \DateTimeImmutable($from->format('Y-m-d'), new \DateTimeZone('UTC')), $this->amount);

        return $from->setDate((int) $day->format('Y'), (int) $day->format('n'), (int) $day->format('j'));
    }
}
