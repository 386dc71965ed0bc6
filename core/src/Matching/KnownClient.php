<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** What matching and planning need to know of a client on file. */
final readonly class KnownClient
{
    /**
     * @param list<string> $emails as written
     * @param list<string> $phones E.164
     * @param list<array{id: string, description: string, serial?: string, make?: string, model?: string, place?: string}> $assets
     * @param list<array{id: string, number: string, title: string, lead: string, opened: string}> $openProjects opened within the time that the business set, not finished, the newest first; lead an id, opened an ISO 8601 day
     * @param list<array{id: string, number: string, title: string, lead: string, opened: string, service: string}> $allOpen all that are not closed, the newest first; service a key, empty for none
     * @param list<string> $otherAddresses
     * @param array<string, string> $fields other fields on file: organisation, address, notes, custom.…
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $sinceYear,
        public array $emails,
        public array $phones,
        public string $address,
        public array $assets,
        public array $fields = [],
        public string $givenName = '',
        public string $familyName = '',
        public array $openProjects = [],
        public array $otherAddresses = [],
        public array $allOpen = [],
    ) {
    }
}
