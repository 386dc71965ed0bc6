<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/**
 * The days that an answer names: written out, or in words that count from the day on which it was given (“19 Dec”, “in
 * three weeks”). Where a span is meant, both its ends may be: somebody says which.
 */
final readonly class AnsweredDays
{
    /** @param \DateTimeImmutable|null $given midnight UTC of the day on which it was given; null where only what is written out counts */
    public function __construct(private DayReader $days = new DayReader(), private SpanReader $spans = new SpanReader(), private ?\DateTimeImmutable $given = null)
    {
    }

    public function on(?\DateTimeImmutable $given): self
    {
        return new self($this->days, $this->spans, null === $given ? null : new \DateTimeImmutable($given->format('Y-m-d'), new \DateTimeZone('UTC')));
    }

    /** @return list<\DateTimeImmutable> none where nothing is read; two or more where it is not sure which is meant, in order of time */
    public function read(string $text, DayOrder $order): array
    {
        $written = $this->days->read($text, $order);
        if ([] !== $written || null === $this->given) {
            return $written;
        }
        $days = [];
        foreach ($this->spans->read($text, $this->given, $order) as $span) {
            foreach ([$span->from, $span->to] as $day) {
                $days[$day->format('Y-m-d')] = $day;
            }
        }
        ksort($days);

        return array_values($days);
    }
}
