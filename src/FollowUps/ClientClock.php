<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Reading\PhoneZone;
use Telamon\Diary\Appointment;

/** What time it is where a client is: as they booked last, or as their number tells, or else the time of the business. */
final readonly class ClientClock
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    public function now(Client $client): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->booked($client) ?? PhoneZone::of($client->first(ContactKind::Phone) ?? '') ?? $this->business->zone());
    }

    private function booked(Client $client): ?\DateTimeZone
    {
        /** @var list<Appointment> $last */
        $last = $this->em->createQueryBuilder()
            ->select('a')
            ->from(Appointment::class, 'a')
            ->where("a.client = :client AND a.zone <> ''")
            ->setParameter('client', $client)
            ->orderBy('a.id', 'DESC')
            ->setMaxResults(1)
            ->getQuery()
            ->getResult();
        $zone = $last[0]->zone ?? '';

        return \in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true) ? new \DateTimeZone($zone) : null;
    }
}
