<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** When the business answers: spans of local time by day of the week, less closures. */
final class OpeningHours
{
    /** @var array<string, list<array{\DateTimeImmutable, \DateTimeImmutable}>> what was worked out before, by local date */
    private array $days = [];

    /**
     * @param array<int, list<array{string, string}>> $spans by ISO 8601 day of the week, “08:00” to “18:00”, in order
     * @param list<string> $closures ISO 8601 days
     */
    public function __construct(private readonly array $spans, private readonly array $closures, public readonly \DateTimeZone $zone)
    {
    }

    /**
     * @param \DateTimeImmutable $day any moment of the local day
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable}> from and to, in order
     */
    public function on(\DateTimeImmutable $day): array
    {
        $local = $day->setTimezone($this->zone);
        $date = $local->format('Y-m-d');

        return $this->days[$date] ??= $this->spansOn($date, (int) $local->format('N'));
    }

    public function isOpen(\DateTimeImmutable $at): bool
    {
        foreach ($this->on($at) as [$from, $to]) {
            if ($at >= $from && $at < $to) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array{\DateTimeImmutable, \DateTimeImmutable}> */
    private function spansOn(string $date, int $weekday): array
    {
        if (\in_array($date, $this->closures, true)) {
            return [];
        }

        return array_map(fn (array $span): array => [
            new \DateTimeImmutable("$date {$span[0]}", $this->zone),
            new \DateTimeImmutable("$date {$span[1]}", $this->zone),
        ], $this->spans[$weekday] ?? []);
    }

    /** @return list<int> ISO 8601 days of the week with any opening */
    public function weekdays(): array
    {
        return array_values(array_filter(range(1, 7), fn (int $day): bool => [] !== ($this->spans[$day] ?? [])));
    }
}
