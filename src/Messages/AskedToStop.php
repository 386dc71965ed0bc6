<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Clients\Client;
use Telamon\Record\DomainEvent;

/** Somebody asked to be left alone: whatever writes to them by itself ends. */
final class AskedToStop extends DomainEvent
{
    public function __construct(public readonly string $address, public readonly ?Client $client)
    {
    }
}
