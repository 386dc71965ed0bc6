<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Record\DomainEvent;

/** Something happened to a quote; whoever listens writes under the same change. */
final class QuoteHappened extends DomainEvent
{
    public function __construct(public readonly Quote $quote, public readonly QuoteEvent $what)
    {
    }
}
