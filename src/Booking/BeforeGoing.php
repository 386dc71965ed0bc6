<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Diary\VisitType;

/** Where to go, and what to verify before somebody goes: said while a visit is placed. */
final readonly class BeforeGoing
{
    private const PLACES = 4;

    public function __construct(private PlacesOnFile $places)
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
        $places = \array_slice($this->places->of($begun->client), 0, self::PLACES);
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

    private function isUnconfirmed(Client $client, string $email): bool
    {
        return [] !== $client->contactPoints->filter(
            static fn (ContactPoint $point): bool => ContactKind::Email === $point->kind && $point->value === $email && !$point->confirmed,
        )->toArray();
    }
}
