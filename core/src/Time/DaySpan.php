<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Days from one to another, both of them in it; midnight UTC, the time and zone carry no meaning. */
final readonly class DaySpan
{
    public function __construct(public \DateTimeImmutable $from, public \DateTimeImmutable $to)
    {
    }

    public static function day(\DateTimeImmutable $day): self
    {
        return new self($day, $day);
    }

    public static function between(int $year, int $month, int $first, int $last): self
    {
        return new self(self::at($year, $month, $first), self::at($year, $month, $last));
    }

    public function isOneDay(): bool
    {
        return $this->from->format('Y-m-d') === $this->to->format('Y-m-d');
    }

    /** What is left of it; null where it is over. */
    public function leftOf(\DateTimeImmutable $today): ?self
    {
        return $this->to < $today ? null : new self(max($this->from, $today), $this->to);
    }

    /** @return array{string, string} ISO 8601 */
    public function toArray(): array
    {
        return [$this->from->format('Y-m-d'), $this->to->format('Y-m-d')];
    }

    private static function at(int $year, int $month, int $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable(\sprintf('%04d-%02d-%02d', $year, $month, $day), new \DateTimeZone('UTC'));
    }
}
