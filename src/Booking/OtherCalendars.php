<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Diary\BusyCalendar;
use Telamon\Diary\BusyTime;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Times at which somebody is busy, read from other calendars of theirs: by an address that is read again, or from a file. */
final readonly class OtherCalendars
{
    private const MOST = 5;
    private const DAYS_AHEAD = 400;

    public function __construct(
        private EntityManagerInterface $em,
        private CalendarChild $reader,
        private CalendarFetch $fetch,
        private Changes $changes,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $address https; empty where a file is given
     *
     * @return int how many busy times there are
     *
     * @throws Refusal
     */
    public function add(Staff $of, string $address, string $file, Staff $by): int
    {
        if ('' === $address && '' === $file) {
            throw new InvalidInput('address', 'Give an address, or choose a file.');
        }
        $text = '' === $address ? $file : $this->fetch->text($address);
        $spans = $this->spans($text);
        $act = Act::of(ChangeKind::Settings, "reads another calendar of {$of->name}", $by)->on('business', $of->id, $this->business->business()->name);

        return $this->changes->carryOut($act, function () use ($of, $address, $spans): int {
            if ($this->em->getRepository(BusyCalendar::class)->count(['staff' => $of]) >= self::MOST) {
                throw new InvalidInput('address', 'There are '.self::MOST.' already. Remove one first.');
            }
            $calendar = new BusyCalendar($of, $address);
            $calendar->readAt = $this->clock->now();
            $this->em->persist($calendar);
            $this->keep($calendar, $spans);

            return \count($spans);
        });
    }

    public function remove(BusyCalendar $calendar, Staff $by): void
    {
        $act = Act::of(
            ChangeKind::Settings,
            "no longer reads another calendar of {$calendar->staff->name}",
            $by,
        )->on('business', $calendar->staff->id, $this->business->business()->name);
        $this->changes->carryOut($act, function () use ($calendar): void {
            $this->em->createQueryBuilder()->delete(BusyTime::class, 't')->where('t.calendar = :it')->setParameter('it', $calendar)->getQuery()->execute();
            $this->em->remove($calendar);
        });
    }

    /** Reads an address again; what was read before stays where it cannot be. */
    public function readAgain(BusyCalendar $calendar): void
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $db = $this->em->getConnection();
        try {
            $spans = $this->spans($this->fetch->text($calendar->address));
        } catch (Refusal $refusal) {
            $db->executeStatement('UPDATE busy_calendar SET read_at = ?, trouble = ? WHERE id = ?', [$now, mb_substr($refusal->getMessage(), 0, 300), $calendar->id]);

            return;
        }
        $this->em->wrapInTransaction(function () use ($calendar, $spans, $db, $now): void {
            $this->em->createQueryBuilder()->delete(BusyTime::class, 't')->where('t.calendar = :it')->setParameter('it', $calendar)->getQuery()->execute();
            $this->keep($calendar, $spans);
            $db->executeStatement("UPDATE busy_calendar SET read_at = ?, trouble = '' WHERE id = ?", [$now, $calendar->id]);
        });
    }

    /** @return list<array{\DateTimeImmutable, \DateTimeImmutable}> */
    private function spans(string $text): array
    {
        $now = $this->clock->now();

        return $this->reader->busy($text, $now->modify('-2 days'), $now->modify('+'.self::DAYS_AHEAD.' days'), $this->business->zone())[0];
    }

    /** @param list<array{\DateTimeImmutable, \DateTimeImmutable}> $spans */
    private function keep(BusyCalendar $calendar, array $spans): void
    {
        foreach ($spans as [$from, $to]) {
            $this->em->persist(new BusyTime($calendar, $calendar->staff->id, $from, $to));
        }
    }
}
