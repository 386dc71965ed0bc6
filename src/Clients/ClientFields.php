<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\SetField;
use Telamon\Effects\FieldWriter;
use Telamon\Effects\Making;
use Telamon\Record\Tags;
use Telamon\Staff\Staff;

/** Writes single fields of a client. */
final readonly class ClientFields implements FieldWriter
{
    public function __construct(private EntityManagerInterface $em, private ContactPoints $points)
    {
    }

    public static function record(): string
    {
        return 'client';
    }

    public function set(SetField $effect, Making $made): array
    {
        $field = $effect->field;
        $client = $made->the(Client::class);
        $value = $effect->value;
        match (true) {
            'email' === $field => $this->points->set($client, ContactKind::Email, $value, 'replace' === $effect->mode ? $effect->old : null),
            'phone' === $field => $this->points->set($client, ContactKind::Phone, $value, 'replace' === $effect->mode ? $effect->old : null),
            'address' === $field => self::address($client, $effect),
            'owner' === $field => $client->owner = $this->em->find(Staff::class, $value) ?? throw new \LogicException('the plan names staff who are not on file'),
            'organisation' === $field => $client->organisation = mb_substr($value, 0, 200),
            'notes' === $field => $client->notes = trim("{$client->notes}\n\n$value"),
            str_starts_with($field, 'custom.') => $client->custom = [substr($field, 7) => $value] + $client->custom,
            default => throw new \LogicException("a client has no field $field"),
        };

        return [$client];
    }

    public function tag(array $tags, Making $made): array
    {
        $client = $made->the(Client::class);
        $client->tags = Tags::with($client->tags, $tags);

        return [$client];
    }

    /** Another address beside those on file, or one in the place of another. */
    private static function address(Client $client, SetField $effect): void
    {
        [$value, $old] = [mb_substr($effect->value, 0, 300), $effect->old];
        if ('' === $client->address || ('replace' === $effect->mode && $old === $client->address)) {
            $client->address = $value;
        } elseif ('replace' === $effect->mode) {
            $client->otherAddresses = array_map(static fn (string $one): string => $one === $old ? $value : $one, $client->otherAddresses);
        } else {
            $client->otherAddresses = [...$client->otherAddresses, $value];
        }
    }
}
