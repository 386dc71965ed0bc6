<?php

declare(strict_types=1);

namespace Telamon\Clients;

/** What a record answers that stands on a client's page and is read by whoever reads the client. */
trait PartOfAClient
{
    public static function isReadWithClient(): bool
    {
        return true;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null === $client ? null : "/clients/$client";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => null];
    }
}
