<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Plan\PlanLine;

/** The lines about the client, and the client on file that they settle on. */
final readonly class ClientOutcome
{
    /** @param list<PlanLine> $lines */
    public function __construct(public array $lines, public ?KnownClient $chosen)
    {
    }
}
