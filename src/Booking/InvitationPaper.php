<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;
use Telamon\Messages\EnclosesPapers;
use Telamon\Messages\Message;

/** Their next visit, for their own calendar (iCalendar, RFC 5545), made when a message leaves. */
final readonly class InvitationPaper implements EnclosesPapers
{
    private const NAME = 'visit';

    public function __construct(private EntityManagerInterface $em, private Invitation $invitation, private BookingLinks $links, private ClockInterface $clock)
    {
    }

    public function makes(): array
    {
        return [self::NAME => 'their next visit, for a calendar'];
    }

    public function called(string $paper): ?string
    {
        return $this->makes()[$paper] ?? null;
    }

    public function isForAnybody(string $paper): bool
    {
        return isset($this->makes()[$paper]);
    }

    public function paper(string $paper, Message $message): ?array
    {
        if (self::NAME !== $paper || null === $message->client) {
            return null;
        }
        [$of, $who] = null === $message->project ? ['client', $message->client] : ['project', $message->project];
        $next = $this->em->createQueryBuilder()->select('a')->from(Appointment::class, 'a')->where("a.$of = :who AND a.state = :booked AND a.startsAt > :now")
            ->setParameter('who', $who)->setParameter('booked', AppointmentState::Booked->value)->setParameter('now', $this->clock->now()->setTimezone(new \DateTimeZone('UTC')))
            ->orderBy('a.startsAt')->setMaxResults(1)->getQuery()->getOneOrNullResult();

        return $next instanceof Appointment
            ? [
                'name' => 'visit.ics',
                'type' => 'text/calendar; method=PUBLISH; charset=utf-8',
                'bytes' => $this->invitation->make($next, 'PUBLISH', 0, '', $this->links->visitAddress($next)),
            ]
            : null;
    }
}
