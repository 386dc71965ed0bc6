<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** What an area lists of a client: it stands with the client in the API, under the area's name. */
#[AutoconfigureTag('telamon.client_section')]
interface ClientSection
{
    /** The field of Client in the contract. */
    public static function name(): string;

    /** @return list<array<string, mixed>> the newest first, not too many */
    public function ofClient(Client $client): array;
}
