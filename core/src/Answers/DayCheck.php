<?php

declare(strict_types=1);

namespace Telamon\Core\Answers;

use Telamon\Core\Form\Checks;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;

/** Says what is wrong with a day. */
final readonly class DayCheck
{
    public function __construct(private DayReader $days)
    {
    }

    public function fault(string $text, Checks $checks, DayOrder $order, \DateTimeImmutable $today): ?string
    {
        $days = $this->days->read($text, $order);
        if ([] === $days) {
            return "There is no such day. Write it like {$order->example()}.";
        }
        $last = end($days);
        $earliest = Checks::day($checks->min, $today) ?? $today->format('Y-m-d');
        if ($last->format('Y-m-d') < $earliest) {
            return $earliest === $today->format('Y-m-d') ? 'That day has passed. Choose today or later.' : 'That is too early. Choose '.(new \DateTimeImmutable($earliest))->format('j F Y').' or later.';
        }
        $latest = Checks::day($checks->max, $today);
        if (null !== $latest && $days[0]->format('Y-m-d') > $latest) {
            return 'That is too late. Choose '.(new \DateTimeImmutable($latest))->format('j F Y').' or earlier.';
        }

        return (int) $last->format('Y') > (int) $today->format('Y') + 10 ? 'That is more than ten years away. Check the year.' : null;
    }

    /** The first day that a text may mean, ISO 8601; empty for none. */
    public function earliest(string $text, DayOrder $order): string
    {
        $days = $this->days->read($text, $order);

        return [] === $days ? '' : $days[0]->format('Y-m-d');
    }

    /** The last day that a text may mean, ISO 8601; empty for none. */
    public function latest(string $text, DayOrder $order): string
    {
        $days = $this->days->read($text, $order);

        return [] === $days ? '' : end($days)->format('Y-m-d');
    }
}
