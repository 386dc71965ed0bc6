<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\QueryBuilder;

/** How much is done for clients. */
interface Work
{
    /**
     * @param list<Client> $clients
     *
     * @return array<string, int> projects, by id of the client; those without any are left out
     */
    public function projects(array $clients): array;

    /**
     * Narrows a query to clients with open work; they are called c in it.
     *
     * @param bool $many whether it is known that many fit
     */
    public function narrow(QueryBuilder $query, bool $many): void;
}
