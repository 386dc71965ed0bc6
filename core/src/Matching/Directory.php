<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** The clients on file, as far as matching asks about them. */
interface Directory
{
    /**
     * @param list<string> $keys as BlockingKeys gives them
     *
     * @return array<string, Person> those filed under any of the keys, by id
     */
    public function people(array $keys): array;

    /**
     * @param list<string> $ids
     *
     * @return array<string, KnownClient> by id, in the order asked for; those that are there no more are left out
     */
    public function clients(array $ids): array;

    /** @return Person|null one of them; null where there is none, or no more */
    public function person(string $id): ?Person;

    /** With the business's weights and thresholds, and how common names are here. */
    public function judge(): Judge;
}
