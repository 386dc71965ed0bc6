<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;

/** Where the things of a client stand. */
final readonly class PlacesOnFile
{
    private const MOST = 50;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<string> each once, the longest on file first; none for nobody */
    public function of(?Client $client): array
    {
        $places = null === $client
            ? []
            : array_map(static fn (Asset $asset): string => $asset->place, $this->em->getRepository(Asset::class)->findBy(['client' => $client], ['id' => 'ASC'], self::MOST));

        return array_values(array_unique(array_filter($places, static fn (string $place): bool => '' !== $place)));
    }
}
