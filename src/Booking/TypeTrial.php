<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Closure;
use Telamon\Business\Profile;
use Telamon\Core\Booking\TypeSettings;
use Telamon\Core\Slots\LocalClock;
use Telamon\Core\Slots\SlotRequest;
use Telamon\Core\Slots\WhyNot;
use Telamon\Diary\Calendars;
use Telamon\Diary\FreeTimes;
use Telamon\Diary\VisitType;
use Telamon\Diary\Wanted;
use Telamon\Staff\Staff;

/** What a kind of visit would give as it is typed, and why the rest is missing. Nothing is saved. */
final readonly class TypeTrial
{
    private const DAYS = 5;
    /** Starts for which a reason is worked out: those within the hours of the business. */
    private const MOST = 800;

    public function __construct(
        private EntityManagerInterface $em,
        private FreeTimes $times,
        private Calendars $calendars,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** @return array<string, mixed> as TypeTrial in the contract */
    public function of(TypeSettings $settings, ?\DateTimeImmutable $from, string $address): array
    {
        $zone = $this->business->zone();
        $type = new VisitType('trial', 'Trial', $settings, true, 0);
        $wanted = new Wanted($type, $settings->lengths[0], $address);
        $today = $this->clock->now()->setTimezone($zone)->format('Y-m-d');
        $first = max($today, $from?->format('Y-m-d') ?? $today);
        $days = [];
        $day = $first;
        for ($looked = 0; $looked < 14 && \count(array_filter($days, static fn (string $closed): bool => '' === $closed)) < self::DAYS; ++$looked) {
            $closure = $this->em->getRepository(Closure::class)->findOneBy(['day' => new \DateTimeImmutable($day)]);
            $days[$day] = null !== $closure
                ? $closure->name
                : ([] === ($this->business->business()->hours[(int) (new \DateTimeImmutable($day))->format('N')] ?? []) ? 'closed' : '');
            $day = (new \DateTimeImmutable($day))->modify('+1 day')->format('Y-m-d');
        }
        $last = (string) array_key_last($days);
        $people = array_values($this->times->people($type));
        $free = [];
        foreach ($this->times->find($wanted, $first, $last) as $one) {
            foreach ($one['crews'] as $crew) {
                foreach ($crew as $id) {
                    $free[$id][$one['start']->format(\DATE_RFC3339)] = true;
                }
            }
        }
        $request = $this->calendars->request($wanted, $first, $last, $people);
        $counts = [];
        $shown = [];
        foreach ($days as $day => $closed) {
            $lanes = [];
            foreach ('' === $closed ? $people : [] as $i => $one) {
                $lanes[] = $this->lane($wanted, $request, $i, $one, $day, $free[$one->id] ?? [], $counts);
            }
            $shown[] = ['day' => $day, 'closed' => $closed, 'lanes' => $lanes];
        }
        arsort($counts);

        return [
            'days' => $shown,
            'count' => \count(array_unique(array_merge(...array_map(array_keys(...), array_values($free)), ...[[]]))),
            'missing' => array_map(static fn (string $why): array => ['why' => $why, 'count' => $counts[$why]], array_keys($counts)),
        ];
    }

    /**
     * @param array<string, true> $free starts of that person
     * @param array<string, int> $counts by reason, counted on
     *
     * @return array<string, mixed>
     */
    private function lane(Wanted $wanted, SlotRequest $request, int $i, Staff $staff, string $day, array $free, array &$counts): array
    {
        $why = new WhyNot($request);
        $zone = $this->business->zone();
        $starts = $missing = [];
        $business = $this->business->business();
        $at = new \DateTimeImmutable("$day {$business->opens()}", $zone);
        $end = new \DateTimeImmutable("$day {$business->closes()}", $zone);
        for ($n = 0; $at < $end && $n < self::MOST; ++$n, $at = $at->modify("+{$request->type->step} minutes")) {
            $text = $at->format(\DATE_RFC3339);
            if (isset($free[$text])) {
                $starts[] = $text;
                continue;
            }
            $reason = $why->of(
                $request->people[$i],
                $at->getTimestamp() * LocalClock::SECOND,
            ) ?? ($this->times->isFullWeek($wanted, $staff, $at) ? 'enough that week already' : 'needs others too, or what it takes along');
            $kind = self::kind($reason);
            $missing[] = ['at' => $text, 'why' => $reason, 'kind' => $kind];
            $counts[$kind] = ($counts[$kind] ?? 0) + 1;
        }

        return ['staff' => AppointmentView::person($staff), 'starts' => $starts, 'missing' => $missing, 'visits' => $this->visits($staff, $day)];
    }

    /** @return list<array{from: string, to: string, label: string, clear: int}> */
    private function visits(Staff $staff, string $day): array
    {
        $zone = $this->business->zone();
        $visits = [];
        foreach ($this->calendars->appointments($day, $day) as $one) {
            if (\in_array($staff->id, $one->crew(), true) && $day === $one->startsAt->setTimezone($zone)->format('Y-m-d')) {
                $visits[] = [
                    'from' => $one->startsAt->setTimezone($zone)->format(\DATE_RFC3339),
                    'to' => $one->endsAt->setTimezone($zone)->format(\DATE_RFC3339),
                    'label' => '' === $one->with() ? $one->title : $one->with(),
                    'clear' => $one->clearAfter,
                ];
            }
        }

        return $visits;
    }

    /** The reason without its particulars, to be counted under. */
    private static function kind(string $reason): string
    {
        return match (true) {
            str_starts_with($reason, 'an appointment') => 'another visit, what is kept clear of it, or the road',
            str_starts_with($reason, 'sooner') => 'too soon',
            str_starts_with($reason, 'busy') => 'busy elsewhere',
            str_contains($reason, 'that day already') => 'enough that day',
            str_contains($reason, 'that week already') => 'enough that week',
            str_contains($reason, 'hours') || str_contains($reason, 'does not work') => 'not working',
            default => $reason,
        };
    }
}
