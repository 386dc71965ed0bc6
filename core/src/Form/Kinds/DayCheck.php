<?php

declare(strict_types=1);

namespace Telamon\Core\Form\Kinds;

use Telamon\Core\Form\Asking;
use Telamon\Core\Form\Checks;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;

/** Says what is wrong with a day. */
final readonly class DayCheck
{
    public function __construct(private Asking $at)
    {
    }

    public function fault(string $text, Checks $checks): ?string
    {
        $today = $this->at->today;
        $days = $this->at->readers->on($this->at->today)->days->read($text, $this->at->order);
        if ([] === $days) {
            return "There is no such day. Write it like {$this->at->order->example()}.";
        }
        $last = end($days);
        $earliest = Checks::day($checks->min, $today) ?? $today->format('Y-m-d');
        if ($last->format('Y-m-d') < $earliest) {
            return $earliest === $today->format('Y-m-d')
                ? 'That day has passed. Choose today or later.'
                : 'That is too early. Choose '.(new \DateTimeImmutable($earliest))->format('j F Y').' or later.';
        }
        $latest = Checks::day($checks->max, $today);
        if (null !== $latest && $days[0]->format('Y-m-d') > $latest) {
            return 'That is too late. Choose '.(new \DateTimeImmutable($latest))->format('j F Y').' or earlier.';
        }

        return (int) $last->format('Y') > (int) $today->format('Y') + 10 ? 'That is more than ten years away. Check the year.' : null;
    }

    /** The first day that a text may mean, ISO 8601; empty for none. */
    public function earliest(string $text): string
    {
        $days = $this->at->readers->on($this->at->today)->days->read($text, $this->at->order);

        return [] === $days ? '' : $days[0]->format('Y-m-d');
    }

    /** The last day that a text may mean, ISO 8601; empty for none. */
    public function latest(string $text): string
    {
        $days = $this->at->readers->on($this->at->today)->days->read($text, $this->at->order);

        return [] === $days ? '' : end($days)->format('Y-m-d');
    }

    /** @return string|null ISO 8601; null for what is no day, or may be two */
    public static function sure(string $text, DayOrder $order): ?string
    {
        $days = (new DayReader())->read(trim($text), $order);

        return 1 === \count($days) ? $days[0]->format('Y-m-d') : null;
    }
}
