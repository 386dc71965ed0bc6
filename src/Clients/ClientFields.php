<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\SetField;
use Telamon\Effects\FieldWriter;
use Telamon\Effects\Making;
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
        // One that takes the place of another was chosen by a person; one more is what somebody outside wrote.
        match (true) {
            'email' === $field => $this->points->set($client, ContactKind::Email, $value, 'replace' === $effect->mode ? $effect->old : null, 'replace' === $effect->mode),
            'phone' === $field => $this->points->set($client, ContactKind::Phone, $value, 'replace' === $effect->mode ? $effect->old : null, 'replace' === $effect->mode),
            'address' === $field => $client->liveAt($value, 'replace' === $effect->mode ? $effect->old : null),
            'owner' === $field => $client->giveTo($this->em->find(Staff::class, $value) ?? throw new \LogicException('the plan names staff who are not on file')),
            default => $client->write($field, $value),
        };

        return [$client];
    }

    public function tag(array $tags, Making $made): array
    {
        $client = $made->the(Client::class);
        $client->tag($tags);

        return [$client];
    }
}
