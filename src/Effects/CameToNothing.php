<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Telamon\Record\DomainEvent;

/** A line of a plan was accepted, and could not be carried out when its turn came. */
final class CameToNothing extends DomainEvent
{
    /**
     * @param string $why in words
     * @param string $by what had it done, in words
     */
    public function __construct(public readonly string $why, public readonly string $by, public readonly Making $made)
    {
    }
}
