<?php

declare(strict_types=1);

namespace Telamon\Core\Scheduling;

/** When the business answers: spans of local time by day of the week, less closures. */
final readonly class OpeningHours
{
    /**
     * @param array<int, list<array{string, string}>> $spans by ISO 8601 day of the week, “08:00” to “18:00”, in order
     * @param list<string> $closures ISO 8601 days
     */
    public function __construct(private array $spans, private array $closures, public \DateTimeZone $zone)
    {
    }

    /**
     * @param \DateTimeImmutable $day any moment of the local day
     *
     * @return list<array{\DateTimeImmutable, \DateTimeImmutable}> from and to, in order
     */
    public function on(\DateTimeImmutable $day): array
    {
        $date = $day->setTimezone($this->zone)->format('Y-m-d');
        if (\in_array($date, $this->closures, true)) {
            return [];
        }
        $weekday = (int) $day->setTimezone($this->zone)->format('N');

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
