<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Reading\EmailReader;

/** Puts mail addresses and phone numbers with clients. */
final readonly class ContactPoints
{
    public function __construct(private EntityManagerInterface $em, private EmailReader $emails)
    {
    }

    /** @return ContactPoint|null null for an empty one */
    public function add(Client $client, ContactKind $kind, string $value): ?ContactPoint
    {
        if ('' === $value) {
            return null;
        }
        $this->em->persist($point = new ContactPoint($client, $kind, $value, $this->key($kind, $value)));

        return $point;
    }

    /**
     * @param string|null $old the one that it takes the place of; null for one more
     * @param bool $confirmed whether a person says so
     */
    public function set(Client $client, ContactKind $kind, string $value, ?string $old, bool $confirmed = true): void
    {
        foreach (null !== $old ? $client->contactPoints : [] as $point) {
            if ($point->kind === $kind && $point->value === $old) {
                $point->become($value, $this->key($kind, $value));

                return;
            }
        }
        $point = $this->add($client, $kind, $value);
        if (!$confirmed) {
            $point?->comesFromOutside();
        }
    }

    public function remove(ContactPoint $point): void
    {
        $point->client->contactPoints->removeElement($point);
        $this->em->remove($point);
    }

    private function key(ContactKind $kind, string $value): string
    {
        return ContactKind::Email === $kind ? $this->emails->key($value) : $value;
    }
}
