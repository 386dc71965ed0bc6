<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Hours on days of the week in which somebody is reached at once. Hours over midnight belong to the day on which they begin. */
final readonly class OnCall
{
    /**
     * @param list<int> $days 1 for Monday to 7 for Sunday (ISO 8601)
     * @param string $from as 18:00
     * @param string $until as 08:00; the same as $from for all round the clock
     *
     * @throws \InvalidArgumentException where this is no time, or no day
     */
    public function __construct(public array $days, public string $from, public string $until)
    {
        foreach ([$from, $until] as $time) {
            if (1 !== preg_match('/^([01][0-9]|2[0-3]):[0-5][0-9]$/', $time)) {
                throw new \InvalidArgumentException('A time is written like 18:00.');
            }
        }
        if ([] === $days || [] !== array_diff($days, range(1, 7)) || array_unique($days) !== $days) {
            throw new \InvalidArgumentException('Choose the days of the week, each once.');
        }
    }

    /** @param \DateTimeImmutable $local by the clock of the business */
    public function covers(\DateTimeImmutable $local): bool
    {
        $time = $local->format('H:i');
        $today = \in_array((int) $local->format('N'), $this->days, true);
        if ($this->from < $this->until) {
            return $today && $time >= $this->from && $time < $this->until;
        }
        // The day before by the calendar, whatever the clock does in between.
        $yesterday = \in_array((int) $local->modify('-1 day')->format('N'), $this->days, true);

        return ($today && $time >= $this->from) || ($yesterday && $time < $this->until);
    }
}
