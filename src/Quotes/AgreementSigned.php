<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Record\DomainEvent;

/** An agreement was signed; whoever listens writes under the same change. */
final class AgreementSigned extends DomainEvent
{
    public function __construct(public readonly Agreement $agreement)
    {
    }
}
