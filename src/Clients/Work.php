<?php

declare(strict_types=1);

namespace Telamon\Clients;

/** How much is done for clients. */
interface Work
{
    /**
     * @param list<string> $clients ids
     *
     * @return array<string, int> projects, by id of the client; those without any are left out
     */
    public function projects(array $clients): array;

    /** Those with open work: a filter of clients called c. */
    public function open(): ClientFilter;

    /** @param string $service key of a service; those for whom it was done or is being done */
    public function ofService(string $service): ClientFilter;
}
