<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Telamon\Journal\Change;
use Telamon\Record\DomainEvent;

/** A client who was on file is changed, in whatever way. */
final class ClientChanged extends DomainEvent
{
    /** @param list<string> $fields by the names that rules have for them: address, email, custom.… */
    public function __construct(public readonly Client $client, public readonly array $fields, public readonly Change $change)
    {
    }
}
