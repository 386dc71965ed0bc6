<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** The time left of the promise to answer, or the time the answer took. */
final readonly class ReplyClock
{
    private function __construct(
        public int $promiseMinutes,
        public int $usedMinutes,
        public \DateTimeImmutable $dueAt,
        public string $state,
        public string $words,
    ) {
    }

    /**
     * @param int $promise working minutes promised
     * @param \DateTimeImmutable|null $answered when a person answered, or null while nobody has
     */
    public static function read(
        WorkingTime $time,
        \DateTimeImmutable $received,
        \DateTimeImmutable $dueAt,
        int $promise,
        ?\DateTimeImmutable $answered,
        \DateTimeImmutable $now,
    ): self {
        if (null !== $answered) {
            $used = $time->between($received, $answered);

            return new self($promise, $used, $dueAt, 'stopped', 'answered in '.self::span($used));
        }
        $used = $time->between($received, $now);
        if ($now > $dueAt) {
            return new self($promise, $used, $dueAt, 'over', self::span(max(1, $used - $promise)).' over');
        }

        return new self($promise, $used, $dueAt, 0 === $used ? 'not-started' : 'running', self::span(max(0, $promise - $used)).' left');
    }

    /** “42 min”, “1 h 10”, “3 h”; from ten hours on in whole hours, rounded down. */
    public static function span(int $minutes): string
    {
        if ($minutes < 60) {
            return "$minutes min";
        }
        $hours = intdiv($minutes, 60);
        $rest = $minutes % 60;

        return $hours >= 10 || 0 === $rest ? "$hours h" : \sprintf('%d h %02d', $hours, $rest);
    }
}
