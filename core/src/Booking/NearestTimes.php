<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Orders free times by how near they are to what somebody wished for. */
final readonly class NearestTimes
{
    private const DAY = 86_400;

    public function __construct(private Wish $wish)
    {
    }

    /**
     * The days come first, then the day of the week, then the time of day, then the sooner.
     *
     * @return list<array{start: string, with: string, asWished: bool}> the nearest first, one for each day but where several are as wished
     */
    public function of(TimesOf $times, int $most): array
    {
        $ranked = [];
        foreach ($times->times as $time) {
            $ranked[] = ['time' => $time, 'rank' => $this->rank($time['start'], $times->minutes)];
        }
        usort($ranked, static fn (array $a, array $b): int => $a['rank'] <=> $b['rank']);
        $nearest = [];
        $seen = [];
        foreach ($ranked as ['time' => $time, 'rank' => $rank]) {
            // The next best is of use where it is another day: a quarter of an hour later is no other offer.
            $day = substr($time['start'], 0, 10);
            if (!isset($seen[$day])) {
                $seen[$day] = true;
                $nearest[] = ['start' => $time['start'], 'with' => $time['with'], 'asWished' => 0 === $rank[0] + $rank[1] + $rank[2]];
            }
            if (\count($nearest) >= $most) {
                break;
            }
        }

        return $nearest;
    }

    /** @return array{int, int, int, string} days, then days of the week, then minutes beside the wish, then the start */
    private function rank(string $start, int $length): array
    {
        $day = substr($start, 0, 10);
        $minute = 60 * (int) substr($start, 11, 2) + (int) substr($start, 14, 2);
        $days = match (true) {
            '' !== $this->wish->first && $day < $this->wish->first => self::days($day, $this->wish->first),
            '' !== $this->wish->last && $day > $this->wish->last => self::days($this->wish->last, $day),
            default => 0,
        };
        $weekday = (int) (new \DateTimeImmutable($day, new \DateTimeZone('UTC')))->format('N');
        $minutes = null === $this->wish->at
            ? max(0, $this->wish->from - $minute, $minute + $length - $this->wish->to)
            : abs($minute - $this->wish->at);

        return [$days, [] === $this->wish->weekdays || \in_array($weekday, $this->wish->weekdays, true) ? 0 : 1, $minutes, $start];
    }

    private static function days(string $from, string $to): int
    {
        $at = static fn (string $day): int => (new \DateTimeImmutable($day, new \DateTimeZone('UTC')))->getTimestamp();

        return intdiv($at($to) - $at($from), self::DAY);
    }
}
