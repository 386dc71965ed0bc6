<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Record\RecordRef;

/** Shows a client as Client in the contract; what other rooms keep of them is listed there, by ?client=. */
final readonly class ClientView
{
    private const RECENT = 40;

    public function __construct(
        private LinksOfClient $links,
        private EntityManagerInterface $em,
        private OwnFields $fields,
        private Profile $business,
    ) {
    }

    /** @return array<string, mixed> */
    public function whole(Client $client): array
    {
        $phones = $this->business->phoneReader();

        return [
            'id' => $client->id,
            'version' => $client->version,
            'links' => $this->links->ofClient($client),
            'mergedInto' => RecordRef::maybe($client->mergedInto),
            'name' => $client->name(),
            'givenName' => $client->givenName,
            'familyName' => $client->familyName,
            'organisation' => $client->organisation,
            'notes' => $client->notes,
            'tags' => $client->tags,
            'custom' => $this->fields->shown('client', $client->custom),
            'contacts' => array_map(
                static fn (Contact $contact): array => [
                    'id' => $contact->id,
                    'name' => $contact->name,
                    'role' => $contact->role,
                    'email' => $contact->email,
                    'phone' => '' === $contact->phone ? '' : $phones->format($contact->phone),
                ],
                $this->of(Contact::class, $client),
            ),
            'address' => $client->address,
            'otherAddresses' => $client->otherAddresses,
            'owner' => $client->owner?->name,
            'ownerId' => $client->owner?->id,
            'language' => $client->language,
            'archivedOn' => $client->archivedAt?->setTimezone($this->business->zone())->format('Y-m-d'),
            'consents' => array_map(
                static fn (Consent $consent): array => [
                    'id' => $consent->id,
                    'what' => $consent->what,
                    'wording' => $consent->wording,
                    'given' => $consent->given,
                    'day' => $consent->day->format('Y-m-d'),
                    'way' => $consent->way,
                    'by' => $consent->staff->name,
                ],
                $this->of(Consent::class, $client),
            ),
            'since' => $client->since->format('Y-m-d'),
            'contactPoints' => array_values(array_map(static fn (ContactPoint $point): array => [
                'id' => $point->id,
                'kind' => $point->kind->value,
                'value' => $point->value,
                'purpose' => $point->purpose,
                'confirmed' => $point->confirmed,
                'text' => ContactKind::Phone === $point->kind ? $phones->format($point->value) : $point->value,
            ], $client->contactPoints->toArray())),
            'assets' => array_map(fn (Asset $asset): array => $asset->toArray() + ['custom' => $this->fields->shown('asset', $asset->custom)], $this->of(Asset::class, $client)),
        ];
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return list<T>
     */
    private function of(string $class, Client $client): array
    {
        return $this->em->getRepository($class)->findBy(['client' => $client], ['id' => 'ASC'], self::RECENT);
    }
}
