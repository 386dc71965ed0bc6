<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Puts the events of a calendar file into the diary. What is there already is known by its UID; what differs is brought up to date. */
final readonly class CalendarImport
{
    private const LONGEST = 86_400;
    /** So many are brought in at once; the same file again brings the next, as those that are in are known. */
    private const MOST = 1_000;

    public function __construct(
        private EntityManagerInterface $em,
        private CalendarChild $reader,
        private Changes $changes,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @return array{new: int, changed: int, known: int, refused: list<string>, change: Change|null}
     *
     * @throws Refusal
     */
    public function run(string $file, Staff $of, bool $dry, Staff $by): array
    {
        $now = $this->clock->now();
        [$events, $left] = $this->reader->events($file, $now->modify('-366 days'), $now->modify('+732 days'), $this->business->zone());
        if ($dry) {
            return self::naming($left, $this->carry($events, $of, false)) + ['change' => null];
        }
        $change = $this->changes->change(Act::of(ChangeKind::Import, "brought a calendar into the diary of {$of->name}", $by));

        return self::naming($left, $this->changes->carryOut($change, fn (): array => $this->carry($events, $of, true))) + ['change' => $change];
    }

    /**
     * @param list<string> $left what was not read
     * @param array{new: int, changed: int, known: int, refused: list<string>} $done
     *
     * @return array{new: int, changed: int, known: int, refused: list<string>}
     */
    private static function naming(array $left, array $done): array
    {
        return ['refused' => [...$left, ...$done['refused']]] + $done;
    }

    /**
     * @param list<array{uid: string, title: string, place: string, notes: string, start: \DateTimeImmutable, end: \DateTimeImmutable, cancelled: bool}> $events
     *
     * @return array{new: int, changed: int, known: int, refused: list<string>}
     */
    private function carry(array $events, Staff $of, bool $write): array
    {
        $more = 0;
        $done = ['new' => 0, 'changed' => 0, 'known' => 0, 'refused' => []];
        $known = [];
        foreach (array_chunk(array_column($events, 'uid'), 500) as $some) {
            foreach ($this->em->getRepository(Appointment::class)->findBy(['uid' => $some]) as $one) {
                $known[$one->uid ?? ''] = $one;
            }
        }
        foreach ($events as $event) {
            $label = '' === $event['title'] ? $event['start']->format('j M Y') : mb_substr($event['title'], 0, 60);
            if ($event['end']->getTimestamp() - $event['start']->getTimestamp() > self::LONGEST) {
                $done['refused'][] = "$label: longer than a day; add an absence instead";
                continue;
            }
            $there = $known[$event['uid']] ?? null;
            $title = mb_substr('' === $event['title'] ? 'From a calendar' : $event['title'], 0, 100);
            $place = mb_substr($event['place'], 0, 300);
            if (null === $there) {
                if ($event['cancelled']) {
                    continue;
                }
                if ($done['new'] >= self::MOST) {
                    ++$more;
                    continue;
                }
                ++$done['new'];
                if ($write) {
                    $appointment = new Appointment($title, $place, $of, null, $event['start'], $event['end'], $this->clock->now());
                    $appointment->isKnownAs($event['uid']);
                    $appointment->become($title, $place, mb_substr($event['notes'], 0, 5000));
                    $this->em->persist($appointment);
                }
            } elseif ($there->startsAt->getTimestamp() === $event['start']->getTimestamp() && $there->endsAt->getTimestamp() === $event['end']->getTimestamp() && $event['cancelled'] === (AppointmentState::Cancelled === $there->state)) {
                ++$done['known'];
            } else {
                ++$done['changed'];
                if ($write) {
                    $there->move($event['start'], $event['end'], $there->staff, $there->also, $this->clock->now());
                    $there->becomes($event['cancelled'] ? AppointmentState::Cancelled : AppointmentState::Booked);
                }
            }
        }

        if ($more > 0) {
            array_unshift($done['refused'], "$more more: ".self::MOST.' are brought in at once. Bring the same file in again for the next.');
        }

        return $done;
    }
}
