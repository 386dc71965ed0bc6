<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Slots\LocalClock;
use Telamon\Database\Remembers;
use Telamon\Staff\Staff;

/** When people work: the hours of their week, or those of the business, and other hours on single days. */
final class PeopleAtWork implements Remembers
{
    /** @var array<string, true>|null ids */
    private ?array $taking = null;

    public function __construct(private readonly EntityManagerInterface $em, private readonly Profile $business, private readonly PersonalHours $hours)
    {
    }

    /**
     * @param string $from, $to local days, ISO 8601
     * @param list<Staff> $people
     *
     * @return array<string, array<string, list<array{int, int}>>> seconds since 1970 from and to, by id and day
     */
    public function between(string $from, string $to, array $people): array
    {
        /** @var list<WorkDay> $others */
        $others = $this->em->createQueryBuilder()
            ->select('d')
            ->from(WorkDay::class, 'd')
            ->where('d.day >= :from AND d.day <= :to')
            ->setParameter('from', $from)
            ->setParameter('to', $to)
            ->getQuery()
            ->getResult();
        $clock = new LocalClock($this->business->zone(), Calendars::day($from), Calendars::day($to));
        $open = [];
        foreach ($people as $one) {
            $dates = [];
            foreach ($others as $other) {
                if ($other->staff === $one) {
                    $dates[Calendars::day($other->day->format('Y-m-d'))] = Calendars::spans($other->spans);
                }
            }
            $person = $this->hours->of($one, $dates, [], Calendars::day($from), Calendars::day($to));
            for ($day = $from; $day <= $to; $day = (new \DateTimeImmutable($day))->modify('+1 day')->format('Y-m-d')) {
                $open[$one->id][$day] = array_map(
                    static fn (array $span): array => [intdiv($span[0], LocalClock::SECOND), intdiv($span[1], LocalClock::SECOND)],
                    $clock->open($person, Calendars::day($day)),
                );
            }
        }

        return $open;
    }

    /** Whether any kind of visit is theirs to take. */
    public function takes(Staff $one): bool
    {
        if (null === $this->taking) {
            $this->taking = [];
            foreach ($this->em->getRepository(VisitType::class)->findAll() as $type) {
                $this->taking += array_fill_keys($type->settings()->everybody(), true);
            }
        }

        return isset($this->taking[$one->id]);
    }

    public function reset(): void
    {
        $this->taking = null;
    }
}
