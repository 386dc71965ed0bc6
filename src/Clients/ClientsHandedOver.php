<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The clients whom somebody looks after. */
final readonly class ClientsHandedOver implements HandsOver
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 client' : "$count clients";
    }

    public function count(Staff $from): int
    {
        return $this->em->getRepository(Client::class)->count(['owner' => $from, 'mergedInto' => null]);
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->em->getRepository(Client::class)->findBy(['owner' => $from, 'mergedInto' => null]) as $client) {
            $client->giveTo($to);
        }
    }
}
