<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Telamon\Core\Booking\TimesAhead;
use Telamon\Core\Booking\TimesOf;
use Telamon\Core\Booking\Wish;
use Telamon\Staff\Staff;

/** The free times for what one submission wishes for. A plan asks more than once: each kind is looked through once. */
final class TimesAheadOf implements TimesAhead
{
    /** Days that are looked through, before and after those that were wished for. */
    private const BEFORE = 7;
    private const AFTER = 28;

    /** @var array<string, TimesOf|null> */
    private array $found = [];

    public function __construct(private readonly FreeTimes $times, private readonly VisitTypes $types, private readonly \DateTimeImmutable $today, private readonly string $address)
    {
    }

    public function of(string $kind, Wish $wish): ?TimesOf
    {
        $key = "$kind {$wish->first} {$wish->last}";
        if (!\array_key_exists($key, $this->found)) {
            $type = $this->types->live($kind);
            $this->found[$key] = null === $type ? null : $this->look($type, $wish);
        }

        return $this->found[$key];
    }

    private function look(VisitType $type, Wish $wish): TimesOf
    {
        $settings = $type->settings();
        $today = $this->today->format('Y-m-d');
        $furthest = $this->today->modify("+{$settings->furthestDays} days")->format('Y-m-d');
        $from = max($today, min($furthest, '' === $wish->first ? $today : self::plus($wish->first, -self::BEFORE)));
        $to = min($furthest, self::plus('' === $wish->last ? $from : max($from, $wish->last), self::AFTER));
        $names = array_map(static fn (Staff $one): string => $one->name, $this->times->people($type));
        $times = [];
        foreach ($this->times->find(new Wanted($type, $settings->lengths[0], $this->address), $from, $to) as $free) {
            $leads = array_values(array_unique(array_map(
                static fn (array $crew): string => implode(' and ', array_map(static fn (string $id): string => $names[$id] ?? '', $crew)),
                $free['crews'],
            )));
            $times[] = ['start' => $free['start']->format(\DATE_RFC3339), 'with' => \count($leads) > 3 ? '' : implode(' or ', $leads)];
        }

        return new TimesOf($type->name, $settings->lengths[0], $times);
    }

    private static function plus(string $day, int $days): string
    {
        return (new \DateTimeImmutable($day, new \DateTimeZone('UTC')))->modify("$days days")->format('Y-m-d');
    }
}
