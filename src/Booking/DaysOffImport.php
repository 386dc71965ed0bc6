<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Absence;
use Telamon\Business\Closure;
use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Closures of the business, or days off of one of the staff, out of a calendar file: whole days only, from today on. */
final readonly class DaysOffImport
{
    private const AHEAD = '+732 days';
    private const LONGEST = 92;

    public function __construct(
        private EntityManagerInterface $em,
        private CalendarChild $reader,
        private Changes $changes,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param Staff|null $of whose days off they are; null for closures of the business
     *
     * @return array{days: list<array{first: string, last: string, name: string, known: bool}>, passedOver: int} what the file holds, and how many events are no whole days
     *
     * @throws Refusal
     */
    public function take(string $file, ?Staff $of, bool $dry, Staff $by): array
    {
        $zone = $this->business->zone();
        $today = $this->clock->now()->setTimezone($zone)->setTime(0, 0);
        $days = [];
        $over = 0;
        [$events, $left] = $this->reader->events($file, $today, $today->modify(self::AHEAD), $zone);
        $over += \count($left);
        foreach ($events as $event) {
            $first = $event['start']->setTimezone($zone);
            $last = $event['end']->setTimezone($zone)->modify('-1 second');
            $isWhole = '00:00' === $first->format('H:i') && '23:59' === $last->format('H:i');
            $long = $first->diff($last)->days + 1;
            if ($event['cancelled'] || !$isWhole || $long > self::LONGEST || $last < $today) {
                ++$over;
                continue;
            }
            $name = mb_substr('' === $event['title'] ? 'Closed' : $event['title'], 0, 100);
            $days[] = ['first' => $first->format('Y-m-d'), 'last' => $last->format('Y-m-d'), 'name' => $name, 'known' => false];
        }
        usort($days, static fn (array $a, array $b): int => $a['first'] <=> $b['first']);
        $days = array_map(
            fn (array $day): array => ['known' => null === $of ? [] === $this->open($day) : null !== $this->em->getRepository(Absence::class)->findOneBy([
                'staff' => $of,
                'first' => self::day($day['first']),
                'last' => self::day($day['last']),
            ])] + $day,
            $days,
        );
        if (!$dry) {
            $this->keep($days, $of, $by);
        }

        return ['days' => $days, 'passedOver' => $over];
    }

    /** @param list<array{first: string, last: string, name: string, known: bool}> $days */
    private function keep(array $days, ?Staff $of, Staff $by): void
    {
        $new = array_values(array_filter($days, static fn (array $day): bool => !$day['known']));
        if ([] === $new) {
            throw new InvalidInput('file', 'There is nothing new in it.');
        }
        $words = null === $of ? 'took in closures from a calendar' : "took in days off of {$of->name} from a calendar";
        $this->changes->carryOut(Act::of(ChangeKind::Settings, $words, $by)->on(
            'business',
            $this->business->business()->id,
            $this->business->business()->name,
        ), function () use ($new, $of): void {
            $taken = [];
            foreach ($new as $day) {
                if (null !== $of) {
                    $this->em->persist(new Absence($of, self::day($day['first']), self::day($day['last']), $day['name']));
                    continue;
                }
                foreach (array_diff($this->open($day), $taken) as $one) {
                    $this->em->persist(new Closure(self::day($one), $day['name']));
                    $taken[] = $one;
                }
            }
        });
        $this->business->reset();
    }

    /**
     * @param array{first: string, last: string, ...} $span
     *
     * @return list<string> its days that are not closed yet
     */
    private function open(array $span): array
    {
        $open = [];
        for ($day = self::day($span['first']); $day->format('Y-m-d') <= $span['last']; $day = $day->modify('+1 day')) {
            if (null === $this->em->getRepository(Closure::class)->findOneBy(['day' => $day])) {
                $open[] = $day->format('Y-m-d');
            }
        }

        return $open;
    }

    private static function day(string $iso): \DateTimeImmutable
    {
        return new \DateTimeImmutable($iso, new \DateTimeZone('UTC'));
    }
}
