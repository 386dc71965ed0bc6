<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Staff;

/** The services that somebody leads, and what falls to the coordinator. */
final readonly class ServicesHandedOver implements HandsOver
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public function what(int $count): string
    {
        return 1 === $count ? '1 service' : "$count services";
    }

    public function count(Staff $from): int
    {
        return $this->em->getRepository(Service::class)->count(['lead' => $from]);
    }

    public function hand(Staff $from, Staff $to): void
    {
        foreach ($this->em->getRepository(Service::class)->findBy(['lead' => $from]) as $service) {
            $service->leadBy($to, mb_substr("{$service->name} goes to {$to->name}", 0, 100));
        }
        foreach ($this->em->getRepository(Service::class)->findAll() as $service) {
            if (\in_array($from->id, $service->among, true)) {
                $service->takeTurns($service->led, array_values(array_unique(array_map(static fn (string $id): string => $id === $from->id ? $to->id : $id, $service->among))));
            }
        }
        $business = $this->business->business();
        if ($business->coordinator === $from) {
            $business->coordinateBy($to);
        }
    }
}
