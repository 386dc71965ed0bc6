<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/**
 * What the clock on the wall shows, and when, by the rules of a zone (IANA Time Zone Database). Instants are in
 * microseconds since 1970-01-01T00:00:00Z, local days in days since 1970-01-01, local times in seconds of their day.
 */
final class LocalClock
{
    public const SECOND = 1_000_000;
    private const DAY = 86_400;
    /** Days beyond those that are asked for, so that an offset is known on either side of them. */
    private const MARGIN = 3;

    /** @var list<array{int, int, int}> seconds from, seconds to (not included), and the offset between them, in seconds east of UTC */
    private array $periods = [];

    /** @var array<int, list<array{int, int, int}>> local seconds from and to of a day and the offset, by day, as they pass */
    private array $pieces = [];

    /** @var array<int, string> how days are written, by the seconds at which they begin */
    private array $written = [];

    /** @var array<int, string> how times of day are written, by their seconds */
    private array $times = [];

    /** @var array<int, string> how offsets are written, by their seconds */
    private array $offsets = [];

    /**
     * @param int $first, $last local days between which it is asked
     */
    public function __construct(private readonly \DateTimeZone $zone, int $first, int $last)
    {
        $from = ($first - self::MARGIN) * self::DAY;
        $to = ($last + self::MARGIN + 1) * self::DAY;
        $changes = $zone->getTransitions($from, $to) ?: [['ts' => $from, 'offset' => $zone->getOffset(new \DateTimeImmutable("@$from"))]];
        foreach ($changes as $i => $change) {
            $this->periods[] = [$change['ts'], $changes[$i + 1]['ts'] ?? $to, $change['offset']];
        }
    }

    /** @return int the local day of an instant */
    public function day(int $instant): int
    {
        $second = intdiv($instant - ($instant < 0 ? self::mod($instant, self::SECOND) : 0), self::SECOND);
        $local = $second + $this->offset($second);

        return intdiv($local - ($local < 0 ? self::mod($local, self::DAY) : 0), self::DAY);
    }

    /** @return array{int, int} the local day of an instant, and the seconds of it that the clock shows */
    public function reading(int $instant): array
    {
        $second = intdiv($instant - self::mod($instant, self::SECOND), self::SECOND);
        $local = $second + $this->offset($second);
        $time = self::mod($local, self::DAY);

        return [intdiv($local - $time, self::DAY), $time];
    }

    /** @return int|null the instant at which a day begins, where no clock changes on it: then every time of it passes once, evenly; null on other days */
    public function midnight(int $day): ?int
    {
        $pieces = $this->of($day);

        return 1 === \count($pieces) && self::DAY === $pieces[0][1] - $pieces[0][0] ? ($pieces[0][0] - $pieces[0][2]) * self::SECOND : null;
    }

    /** @return int|null the instant at which the clock shows a time of a day, the first of two; null where it never does */
    public function showing(int $day, int $time): ?int
    {
        $local = $day * self::DAY + $time;
        foreach ($this->of($day) as [$from, $to, $offset]) {
            if ($from <= $local && $local < $to) {
                return ($local - $offset) * self::SECOND;
            }
        }

        return null;
    }

    /** @return int the first instant of a day at which the clock shows a time or a later one; the end of the day where none does */
    public function from(int $day, int $time): int
    {
        $local = $day * self::DAY + $time;
        $pieces = $this->of($day);
        foreach ($pieces as [$from, $to, $offset]) {
            if ($to > $local) {
                return (max($from, $local) - $offset) * self::SECOND;
            }
        }
        $last = end($pieces);

        // A day that a zone leaves out altogether ends where it begins: with the next one.
        return false === $last ? $this->from($day + 1, 0) : ($last[1] - $last[2]) * self::SECOND;
    }

    /** @return list<array{int, int}> when somebody works on a day, in order; hours that touch are one */
    public function open(SlotPerson $person, int $day): array
    {
        return Spans::joined(array_map(fn (array $span): array => [$this->from($day, $span[0]), $this->from($day, $span[1])], $person->on($day)), true);
    }

    /** @return string RFC 3339, with the offset of that moment */
    public function format(int $instant): string
    {
        $second = intdiv($instant, self::SECOND);
        $offset = $this->offset($second);
        $local = $second + $offset;
        $time = self::mod($local, self::DAY);
        // Few days, times of day and offsets come again and again.
        $this->written[$local - $time] ??= gmdate('Y-m-d\T', $local);
        $this->times[$time] ??= gmdate('H:i:s', $time);
        $this->offsets[$offset] ??= ($offset < 0 ? '-' : '+').gmdate('H:i', abs($offset));

        return $this->written[$local - $time].$this->times[$time].$this->offsets[$offset];
    }

    /** @return int seconds east of UTC at a moment */
    private function offset(int $second): int
    {
        foreach ($this->periods as [$from, $to, $offset]) {
            if ($from <= $second && $second < $to) {
                return $offset;
            }
        }

        return $this->zone->getOffset(new \DateTimeImmutable("@$second"));
    }

    /** @return list<array{int, int, int}> */
    private function of(int $day): array
    {
        if (!isset($this->pieces[$day])) {
            $this->pieces[$day] = [];
            [$begin, $end] = [$day * self::DAY, ($day + 1) * self::DAY];
            foreach ($this->periods as [$from, $to, $offset]) {
                $first = max($from + $offset, $begin);
                $last = min($to + $offset, $end);
                if ($first < $last) {
                    $this->pieces[$day][] = [$first, $last, $offset];
                }
            }
        }

        return $this->pieces[$day];
    }

    private static function mod(int $number, int $by): int
    {
        return (($number % $by) + $by) % $by;
    }
}
