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
     * @param bool $named until the day that they named, where they named one
     */
    public function __construct(public int $amount, public string $unit, public string $at, public bool $named = false)
    {
    }

    /**
     * @param \DateTimeImmutable $from in the time zone that days and hours are counted in
     * @param \DateTimeImmutable|null $day that they named; one that is over counts for nothing
     */
    public function from(\DateTimeImmutable $from, WorkingDays $working, ?\DateTimeImmutable $day = null): \DateTimeImmutable
    {
        if ($this->named && null !== $day && $day->format('Y-m-d') > $from->format('Y-m-d')) {
            return $this->onNamedDay($from, $day);
        }
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

        return ($this->named ? 'until the day that they name, else ' : '')."{$this->amount} $unit".('' === $this->at ? '' : ", then at {$this->at}");
    }

    /** At the time of day that is asked for, or else at that of now. */
    private function onNamedDay(\DateTimeImmutable $from, \DateTimeImmutable $day): \DateTimeImmutable
    {
        [$hour, $minute] = array_map(intval(...), explode(':', '' === $this->at ? $from->format('H:i') : $this->at));

        return $from->setDate((int) $day->format('Y'), (int) $day->format('n'), (int) $day->format('j'))->setTime($hour, $minute);
    }

    private function onWorkingDay(\DateTimeImmutable $from, WorkingDays $working): \DateTimeImmutable
    {
        $day = $working->add(new \DateTimeImmutable($from->format('Y-m-d'), new \DateTimeZone('UTC')), $this->amount);

        return $from->setDate((int) $day->format('Y'), (int) $day->format('n'), (int) $day->format('j'));
    }
}
