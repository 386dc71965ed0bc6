<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The appointments that somebody has still before them. */
final readonly class AppointmentsHandedOver implements HandsOver
{
    public function __construct(private EntityManagerInterface $em, private ClockInterface $clock)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 appointment' : "$count appointments";
    }

    public function count(Staff $from): int
    {
        return \count($this->coming($from));
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->coming($from) as $appointment) {
            $others = array_values(array_diff($appointment->also, [$from->id, $to->id]));
            $appointment->goWith(
                $appointment->staff === $from ? $to : $appointment->staff,
                \in_array($from->id, $appointment->also, true) && $appointment->staff !== $to ? [...$others, $to->id] : $others,
            );
        }
        foreach ($this->em->getRepository(VisitType::class)->findAll() as $type) {
            $type->handOver($from->id, $to->id);
        }
    }

    /** @return list<Appointment> */
    private function coming(Staff $from): array
    {
        /** @var list<Appointment> $found */
        $found = $this->em->createQueryBuilder()
            ->select('a')
            ->from(Appointment::class, 'a')
            ->where('a.endsAt > :now AND a.state IN (:open) AND (a.staff = :from OR a.also LIKE :also)')
            ->setParameter('now', $this->clock->now(), 'datetime_immutable')->setParameter('open', [AppointmentState::Booked->value, AppointmentState::Offered->value])
            ->setParameter('from', $from)->setParameter('also', "%\"{$from->id}\"%")->orderBy('a.startsAt')->getQuery()->getResult();

        return $found;
    }
}
