<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Diary\VisitType;

/** Where to go, and what to verify before somebody goes: said while a visit is placed. */
final readonly class BeforeGoing
{
    private const PLACES = 4;

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param array{name: string, first: string, email: string, phone: string, address: string, known: list<array{label: string, value: string, what: string}>} $who as WhoBooks knows them
     * @param string $address where it is to be
     *
     * @return list<string> sentences
     */
    public function verify(VisitType $type, array $who, string $address, Begun $begun): array
    {
        $told = [];
        $places = $this->places($begun->client);
        if ($type->settings()->place->isOnTheRoad() && '' === $address) {
            $told[] = [] === $places ? 'Nobody has said where it is.' : 'Which place is meant: '.implode('; ', $places).'?';
        } elseif ($type->settings()->place->isOnTheRoad() && [] !== array_diff($places, [$address]) && null === $begun->project?->asset) {
            $told[] = 'They have things elsewhere too: '.implode('; ', array_values(array_diff($places, [$address]))).'.';
        }
        if ('' === $who['email'] && '' === $who['phone']) {
            $told[] = 'There is neither a mail address nor a number: nobody can be told.';
        } elseif ('' === $who['phone']) {
            $told[] = 'There is no number to ring on the way.';
        }
        if ('' !== $who['email'] && null !== $begun->client && $this->isUnconfirmed($begun->client, $who['email'])) {
            $told[] = "Nobody has confirmed {$who['email']} yet.";
        }

        return $told;
    }

    /** @return list<string> where the things of a client stand, each once */
    private function places(?Client $client): array
    {
        $places = null === $client ? [] : array_map(static fn (Asset $asset): string => $asset->place, $this->em->getRepository(Asset::class)->findBy(['client' => $client], ['id' => 'ASC'], 50));

        return \array_slice(array_values(array_unique(array_filter($places, static fn (string $place): bool => '' !== $place))), 0, self::PLACES);
    }

    private function isUnconfirmed(Client $client, string $email): bool
    {
        return [] !== $client->contactPoints->filter(static fn (ContactPoint $point): bool => ContactKind::Email === $point->kind && $point->value === $email && !$point->confirmed)->toArray();
    }
}
