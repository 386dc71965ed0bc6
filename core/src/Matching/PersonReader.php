<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;
use Telamon\Core\Reading\AddressReader;
use Telamon\Core\Reading\NameReader;

/** Makes of a submission, or of a client on file, the person to compare. */
final readonly class PersonReader
{
    /** So many places beside the address: who looks after a hundred rooms is known by name and mail. */
    private const PLACES = 5;

    public function __construct(private NameReader $names, private AddressReader $addresses)
    {
    }

    public function ofReadings(Readings $readings): Person
    {
        [$given, $family] = $this->nameParts($readings->for(Destination::ClientName));
        $email = $readings->for(Destination::ClientEmail)?->string() ?? '';
        $phone = $readings->for(Destination::ClientPhone)?->string() ?? '';

        return $this->of(
            $given,
            $family,
            $readings->for(Destination::ClientOrganisation)->text ?? '',
            [$email],
            [$phone],
            $readings->for(Destination::ClientAddress)->text ?? '',
            array_map(static fn (Reading $place): string => $place->text, $readings->allFor(Destination::AssetPlace)),
        );
    }

    /**
     * @param list<string> $emails
     * @param list<string> $phones E.164
     * @param string $address on one line
     * @param list<string> $elsewhere where else they are found, each on one line; the first PLACES of them count
     */
    public function of(string $given, string $family, string $organisation, array $emails, array $phones, string $address, array $elsewhere = []): Person
    {
        $places = [];
        foreach (\array_slice(array_filter($elsewhere, static fn (string $place): bool => '' !== $place), 0, self::PLACES) as $other) {
            $place = $this->addresses->read($other);
            $there = new Person('', '', '', [], [], $place->line, $place->locality, $place->postalCode);
            // “Stage” and “foyer” are places in a house, and say nothing of where it is.
            if ('' !== $there->locality || '' !== $there->postalCode || ('' !== $there->houseNumber && '' !== $there->street)) {
                $places[] = $there;
            }
        }
        $place = $this->addresses->read($address);

        return new Person($given, $family, $organisation, $emails, $phones, $place->line, $place->locality, $place->postalCode, $places);
    }

    /** @return array{string, string} given and family name */
    private function nameParts(?Reading $name): array
    {
        if (null !== $name && \is_array($name->value) && 2 === \count($name->value)) {
            return [$name->value[0], $name->value[1]];
        }
        $person = $this->names->read($name->text ?? '');

        return [$person->given, $person->family];
    }
}
